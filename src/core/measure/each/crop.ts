import { layerMeasure } from '../descriptor';
import { loss } from '../read';
import { UNITS } from '../units';

export const crop = layerMeasure({
  id: 'crop',
  word: 'crop',
  noun: 'crop',
  unit: UNITS.share,
  sided: true,
  rule: { id: 'over-cropped', word: 'cropped too much' },
  limits: [
    {
      roles: ['background'],
      side: 'total',
      max: 0.5,
      outcome: 'warn',
      reason: 'More than half of the picture is never seen.',
    },
    {
      roles: ['background'],
      side: 'total',
      max: 0.65,
      outcome: 'fail',
      reason: 'What is left is no longer the picture that was drawn.',
    },
    { roles: ['logo'], side: 'total', max: 0, outcome: 'fail', reason: 'A logo is shown whole.' },
  ],
  hinges: [],
  read: (side) => loss((m) => m.crop, side),
  why: 'crop',
  mends: [
    'solvedPosition',
    'otherCut',
    'otherFits',
    'smaller',
    'intoTheSafeArea',
    'toTheScreen',
    'mendWhatItLeansOn',
  ],
});
