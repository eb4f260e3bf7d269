export * from './map/types.js';
export * from './map/changes.js';
export { mend } from './drawn/mend.js';
export type { Dropped } from './drawn/mend.js';
export { sortMap } from './map/order.js';
export { MapIndex } from './map-index/map-index.js';
export { effectiveKind, effectiveKindOfNew, isStructural } from './map/kinds.js';
export { kindOfLink, kindOfTopic, linkStyle, topicStyle } from './map/style.js';
export type { LinkStyle, TopicStyle } from './map/style.js';
export { colourName } from './map/colour-name.js';
export { colourDistance, contrast, luminance } from './map/colour.js';
export { matchTerms } from './map/terms.js';
export { crossingsOf } from './map-index/crossings.js';
export { bankChips } from './map/bank.js';
export type { Chip } from './map/bank.js';
export type { KindsPut } from './map/onto-legend.js';
export { kindsUnknown, ontoLegend } from './map/onto-legend.js';
export { mapFromStarter, withNewIds } from './drawn/start.js';
export { alignmentDistance } from './words/edit-distance.js';
export { isBlank, normalForm, wordsOf } from './words/normal-form.js';
export { mentionBegun, mentionedIn, mentionOf } from './people/mentions.js';
export { personMarks } from './people/person-marks.js';
export type { PersonMark } from './people/person-marks.js';
export { whoMade } from './people/who-made.js';
export type { Made } from './people/who-made.js';
export * from './geometry/points.js';
export { boxesMeet, entersBox } from './geometry/boxes.js';
export { meetingPoint } from './geometry/meetings.js';
export { outlineOf, polygonOf } from './geometry/shapes.js';
export { drawnPart } from './geometry/drawn-part.js';
export { bendThrough } from './geometry/path.js';
export { drawLink, pathData, phraseAt, phraseBlock } from './geometry/draw-link.js';
export type { LinkDrawing } from './geometry/draw-link.js';
export { drawTopic } from './geometry/draw-topic.js';
export type { TopicDrawing } from './geometry/draw-topic.js';
export { fitTopic, layoutTopic } from './geometry/fit.js';
export { directedRuns, directionOf, hasRightToLeft, mirrored } from './geometry/direction.js';
export type { DirectedRun, Direction } from './geometry/direction.js';
export { familyList, hanOf } from './geometry/font-families.js';
export type { Han } from './geometry/font-families.js';
export { fontRuns } from './geometry/fonts.js';
export { FONT_SOURCES } from './geometry/font-sources.js';
export type { FontName } from './geometry/font-sources.js';
export { graphemes } from './geometry/breaks.js';
export { layoutText, setTexts, textWidth } from './geometry/text.js';
export type { TextLine } from './geometry/text.js';
export { mapToSvg, sheetBox } from './render/svg.js';
export type { HrefOf } from './render/svg.js';
export { detailAt, LARGE_MAP } from './outline/detail.js';
export type { Detail, Heading } from './outline/detail.js';
export { signsOf, TOPIC_MARKS, topicMarks } from './drawn/topic-signs.js';
export type { TopicMark } from './drawn/topic-signs.js';
export { drawMark, drawnBox, drawnMarks, markAt, markBoxes } from './drawn/drawn.js';
export type { DrawnMark } from './drawn/drawn.js';
export type { DrawnShape, Drawing, Scene } from './drawn/mark-type.js';
export type { TitleBlockText } from './render/title-block.js';
export { dashLengths } from './render/strokes.js';
export { SENTENCE_SORTS, sentenceRows, sentencesWith, sortedSentences } from './propositions/sentence-rows.js';
export type { SentenceRow, SentenceSort } from './propositions/sentence-rows.js';
export { propositionOf, sentenceOf } from './propositions/sentence.js';
export type { Proposition } from './propositions/sentence.js';
export { holdsAnswers, reportForStudents, resultForStudents, withoutAnswers } from './checking/for-students.js';
export { reportOf } from './checking/check-map.js';
export { sumsOf } from './checking/sums.js';
export type { Sums } from './checking/sums.js';
export { LiveCheck } from './checking/live-check.js';
export { CHECK_LIMIT_MS, checkMap, OutOfTime } from './checking/check-map.js';
export { warmUp } from './checking/warm-up.js';
export { differenceOf } from './comparison/difference.js';
export { countChanged, isSameMap } from './comparison/same-map.js';
export type { Difference } from './comparison/difference.js';
export { readClass, readHeld, togetherOf } from './class-readings/class-together.js';
export type { ClassReading, Held, Together } from './class-readings/class-together.js';
export type { ClassProposition } from './class-readings/propositions.js';
export { againstReference } from './class-readings/against-reference.js';
export type { BesideReference } from './class-readings/against-reference.js';
export { nearWordings } from './class-readings/near-wordings.js';
export { outcomeKeyOf } from './class-readings/outcomes.js';
export type { OutcomePoint } from './class-readings/outcomes.js';
export { keyOf } from './class-readings/reading.js';
export { compositeMap, tieId } from './class-readings/composite-map.js';
export type { Composite, Tie } from './class-readings/composite.js';
export type { Likeness } from './class-readings/likeness.js';
export type { StrongTie } from './class-readings/strongest.js';
export { FIGURES } from './class-readings/structure-figures.js';
export type { StructureFigures } from './class-readings/structure-figures.js';
export { judgementOf } from './marking/judgement-of.js';
export { agreementOf } from './marking/agreement.js';
export type { TwoLevels } from './marking/agreement.js';
export { NOVAK_GOWIN, scoredStructureOf, structuralScoreOf } from './marking/structural-score.js';
export type { ScoredStructure, StructuralScore } from './marking/structural-score.js';
export { leftToJudge, markOf, readForMarks } from './marking/mark-of.js';
export type { MarkDetail, MarkReading } from './marking/mark-of.js';
export { forReviewers } from './reviewing/for-reviewers.js';
export { handOut } from './reviewing/hand-out.js';
export type { HandingOut, ReviewedMap } from './reviewing/hand-out.js';
export { reviewedMark } from './marking/reviewed-mark.js';
export type { Reviews } from './marking/reviewed-mark.js';
export { ownMark } from './marking/own-mark.js';
export type { Adjustment } from './marking/own-mark.js';
export { evidenceOf, fillBlanks, LETTER_FIELDS, REMARK_BLANKS } from './marking/remark-blanks.js';
export type { RemarkBlank, RemarkValues } from './marking/remark-blanks.js';
export { markLines } from './marking/mark-lines.js';
export type { MarkLine } from './marking/mark-lines.js';
export { markWords } from './marking/mark-words.js';
export { anchorPoint } from './render/anchor-point.js';
export { smallestMend } from './advice/smallest-mend.js';
export type { Edit, SmallestMend } from './advice/smallest-mend.js';
export { countVerdicts, VERDICTS } from './marking/verdicts.js';
export type { Verdict, VerdictCounts } from './marking/verdicts.js';
export { pathOf } from './propositions/running-text.js';
export type { Path } from './propositions/running-text.js';
export { drawnByAtLeast } from './class-readings/composite.js';
export { CannotWeigh, learnWeights } from './marking/learned-weights.js';
export type { LearnedWeights } from './marking/learned-weights.js';
export { onScale, toDecimals } from './marking/scale.js';
export type { ShownMark } from './marking/scale.js';
export { countsVerdicts, isCounted, lateShare, levelOf, PLAIN_MARKS, pointsOf, sumOf } from './marking/sum.js';
export type { Judgement, MarkSum, Timing } from './marking/sum.js';
export { grouped } from './grouped.js';
export { pick, seeded, shuffled } from './random.js';
export type { Random } from './random.js';
export type { ParamName, RequirementId } from './requirements/registry.js';
export { CATALOGUE, groupOf, requirementTypeOf, requirementTypes } from './requirements/registry.js';
export { inGroups, numbered } from './checking/listing.js';
export { startingRequirement } from './requirements/starting.js';
export { withDefaults } from './requirements/params.js';
export type { Problem } from './requirements/params.js';
export { GROUP_TITLES, GROUPS } from './requirements/types.js';
export type {
  Evidence,
  GroupId,
  ParamRule,
  Report,
  RequirementType,
  Result,
  Said,
  Status,
} from './requirements/types.js';
export { english } from './wording/catalogue.js';
export type { Catalogue } from './wording/catalogue.js';
export { lookAgain } from './advice/look-again.js';
export { safeHelp } from './advice/safe-help.js';
export type { SafeHelp } from './advice/safe-help.js';
export { branchFill, BRANCH_FILLS, colourBranch, colourBranches } from './commands/recolour.js';
export { bestPage, LEAST_POINTS, PAPERS, pointsOn, PRINT_MARGIN, printedOn, smallestLetters } from './on-paper/page.js';
export { fewestTiles, tilesOf } from './on-paper/tiles.js';
export type { Paper, PaperPage } from './on-paper/page.js';
export { illegible, LEGIBILITY } from './on-paper/legibility.js';
export type { Grey, Illegible } from './on-paper/legibility.js';
export { worksheetOf } from './on-paper/worksheet.js';
export type { Blanks } from './on-paper/worksheet.js';
export { bearersOf, bearsWords } from './outline/borne.js';
export type { Borne } from './outline/borne.js';
export { noteAims } from './outline/note-aims.js';
export type { NoteAim } from './outline/note-aims.js';
export { forAClass } from './outline/for-a-class.js';
export { stopView, tourLine, tourStops, usualStops } from './outline/tour.js';
export type { TourLine, TourStop } from './outline/tour.js';
export { mapOutline } from './outline/map-outline.js';
export type { OutlineRow } from './outline/map-outline.js';
export type { LookAgain } from './advice/look-again.js';
export {
  labelOf,
  lookAgainSentence,
  safeHelpWords,
  outlineSentence,
  reasonOf,
  requirementParts,
  requirementSentence,
  say,
} from './wording/say.js';
export type { SentencePart } from './wording/say.js';
export { reportFile } from './wording/report-file.js';
export type { ReportFile } from './wording/report-file.js';
export {
  addTopic,
  growTopic,
  placeUnder,
  moveMarks,
  putBetween,
  resizeTopic,
  setText,
  setTextOrNote,
  splitLink,
  wordsAndNote,
} from './commands/topics.js';
export { addLink, bendLink, linkAll, reattach, setPhrase, setPhrases, turnLinks } from './commands/links.js';
export { addStops, makeTour, moveStop, nameTour, removeStop, removeTour, sayAtStop } from './commands/tours.js';
export { topicNamed, writeEnd, writeSentence } from './commands/sentences.js';
export type { Place } from './commands/reading-order.js';
export { addInOrder, deleteRows, hangInOrder, indent, moveInOrder, outdent } from './commands/reading-order.js';
export { cutLoose, dropTarget, hangFrom, headsOf } from './commands/branches.js';
export { branchOf, hangsBy } from './commands/hanging.js';
export { roomFor } from './commands/as-one-draws.js';
export {
  EDGES,
  LAYERS,
  lineUp,
  makeRoom,
  moveClear,
  sameSize,
  setInRow,
  setLayer,
  stretchRow,
} from './commands/arrange.js';
export type { Along, Edge, Layer } from './commands/arrange.js';
export {
  addWebAddress,
  clearMarks,
  removeWebAddress,
  setBankNote,
  setNote,
  setWordGoal,
  setSequence,
  setSource,
  setTask,
  toggleMark,
  webAddress,
} from './commands/enrich.js';
export {
  addFile,
  addLoosePicture,
  asTopics,
  setWordless,
  addPicture,
  layPaper,
  removeFile,
  removePicture,
  setLoosePicture,
  setPicture,
} from './commands/pictures.js';
export type { NewPicture } from './commands/pictures.js';
export { isUpload, pictureSrc } from './map/picture-src.js';
export type { PictureSrc } from './map/picture-src.js';
export { makeGroup, makeRegion, setRegion, ungroup, withGroups } from './commands/together.js';
export { foldedOf, foldToLevel, mapWithout, toggleFold, unfoldAll } from './commands/fold.js';
export type { Folded } from './commands/fold.js';
export { CrossingCounter, makeMove, uncross } from './commands/uncross.js';
export type { Move } from './commands/uncross.js';
export { goBackTo } from './commands/go-back.js';
export { snapStep } from './commands/snap.js';
export type { Guide } from './commands/snap.js';
export { chooseBy, CHOICES } from './commands/choose.js';
export type { Choice } from './commands/choose.js';
export { asItsKind, askToComplete, copyLooks, isFixed, setLinkKind, setLooks, setTopicKind } from './commands/looks.js';
export { addToBank, copyMarks, deleteMarks, entitle, pasteMarks, removeMarks } from './commands/whole-map.js';
export type { Copied } from './commands/whole-map.js';
export { tidyMap } from './tidy/tidy.js';
export { TIDY_WAYS } from './tidy/tidied.js';
export { tidyInto } from './tidy/tidy-into.js';
export { frameBeside, lettersIn, SCREEN } from './tidy/frame.js';
export type { Frame } from './tidy/frame.js';
export { pullApart } from './tidy/links/pull-apart.js';
export type { TidyWay } from './tidy/tidied.js';
export { gatherText } from './commands/gather.js';
export type { Gathered, Gathering } from './commands/gather.js';
export { freeSpot } from './commands/free-spot.js';
export { followRules, RULE_PARTS, rulesOf, sheetFrom } from './standing/standing-rules.js';
export type { RuleChange, StandingRules } from './standing/standing-rules.js';
export { beginsWithMark, plainLines, readOutline } from './outline/outline.js';
export { starterFrom } from './outline/starter.js';
export type { OutlineMessage, OutlineTerm } from './outline/outline.js';
export { FileRefused, understood } from './formats/problems.js';
export type { Reading } from './formats/problems.js';
export { readMarksText } from './formats/marks-file.js';
export { readMap, readMapText, writeMap } from './formats/map-file.js';
export { readAssignment, readAssignmentText, writeAssignment } from './formats/assignment-file.js';
export { readContextText } from './formats/context-file.js';
export { openStoredAssignment, openStoredMap, openStoredReport } from './formats/stored.js';
export { isWay, spoil, WAYS } from './spoil/spoil.js';
export type { WayName } from './spoil/spoil.js';
export { balloonPlaces, RING } from './evidence/balloon-places.js';
export type { BalloonPlace } from './evidence/balloon-places.js';
export { evidenceMarks } from './evidence/evidence-marks.js';
export type { EvidenceMark } from './evidence/evidence-marks.js';
export { propose } from './advice/propose.js';
export { reviewRequirements } from './advice/review/review-requirements.js';
export type { Finding as ReviewFinding } from './advice/review/sheet.js';
export { EYES, legendDistances } from './advice/legend-distances.js';
export type { Eyes, KindDistance } from './advice/legend-distances.js';
export { checkedExample } from './examples/example-views.js';
export type { CheckedExample } from './examples/example-views.js';
export { exampleInLegend } from './examples/example-in-legend.js';
export { finishedExample } from './examples/finished-example.js';
export { PARAM_WORDS } from './examples/param-words.js';
export { assignmentOf, isSheetPart, SHEET_PARTS, sheetOf } from './sheet/sheet.js';
export type { Sheet, SheetPart, SheetRequirement } from './sheet/sheet.js';
export { PALETTES } from './sheet/palettes.js';
export { sharedPoints } from './sheet/share-points.js';
export type { Palette } from './sheet/palettes.js';
export { emptySheet } from './sheet/empty-sheet.js';
export { carriedJudgements } from './revisions/carried-judgements.js';
export { adoptRevision } from './revisions/adopt-revision.js';
export { differsInWordingOnly, newsOf, sameAssignment } from './revisions/news.js';
export type { News } from './revisions/news.js';
export { READY_MADE, readyMade } from './ready-made/ready-made.js';
export type { ReadyMade } from './ready-made/plan.js';
export { hasRoom, readSketch, rubbed, sketchSvg, strokePath, writeSketch } from './sketch/sketch.js';
export type { Sketch, Stroke } from './sketch/sketch.js';
export { asIdea, heapFor, partsOf } from './gathering/alike.js';
export type { Heap } from './gathering/alike.js';
export { bankOfIdeas, newTerms, sheetOfIdeas, treeOfIdeas } from './gathering/made-of-ideas.js';
export type { Taken, TakenIdea } from './gathering/made-of-ideas.js';
export { OWN_LEGEND, ownAssignment } from './own-maps/own-legend.js';
export { ownWords, respell } from './spelling/own-words.js';
export type { OwnWord } from './spelling/own-words.js';
