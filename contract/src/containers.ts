import { containerId, body, text } from './fields.ts';

/** What the plants were potted into. */
export const pottingTold = body({ container: containerId().required('is missing') });

/** As it is kept: with what they stood in before. */
export const pottingKept = pottingTold.shape({ before: text(60).required() });
