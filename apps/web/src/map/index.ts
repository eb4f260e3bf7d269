/** What other folders may use of this one. */
export { Canvas } from './canvas';
export type { Gestures } from './canvas';
export { CheckedMap } from './checked-map';
export { CommentCard, subjectOf } from './comment-card';
export { LinkDrawingView, TopicDrawing } from './drawing';
export { FrozenMap, useFrozen, useGo } from './frozen-map';
export { KindSample, LinkSample } from './kind-sample';
export { MapPicture } from './map-picture';
export { readAloud, Reading, ReadSentence } from './reading-line';
export { Sentence, sentenceParts } from './requirement-sentence';
export { ReportHead, ResultsList } from './results-list';
export { SentencesView } from './sentences-view';
export { TitleBlock } from './title-block';
export { EvidenceMarksView } from './evidence-marks-view';
export { useEvidence } from './use-evidence';
export { useShow } from './view';
export type { Padding } from './view';
export { ViewControls } from './view-controls';
