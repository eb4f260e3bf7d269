export { Following } from './following';
export { HereList } from './here-list';
export { OthersDrawn } from './others-drawn';
export { useFollow } from './use-follow';
export { useOwnChoice, useOwnPlace } from './use-own-hand';
export { useMarksOf } from './use-people';
export { useSaidArrivals } from './use-said-arrivals';
