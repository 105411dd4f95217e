import { MEASURE } from '@/core/measure/limit';
import { layerSentence } from '@/core/sentences/layer';
import { demoDocuments } from '../../../demo/documents';
import { faultOf, faultsOf, type Cause } from './causes';
import { partFor } from './part-at';

const { project, scenes } = demoDocuments(() => []);
const { layers } = scenes['winter-splash']!;
const names = { layers, named: project.named };
const harbour = layers.find((l) => l.id === 'harbour')!;
const parts = layerSentence(harbour, names, project.pictures).filter((t) => typeof t !== 'string');
const cause = (
  measure: keyof typeof MEASURE,
  outcome: Cause['outcome'],
  path: Cause['part']['path'],
): Cause => ({
  word: MEASURE[measure].rule.word,
  outcome,
  part: { layerId: 'harbour', path },
});

describe('what a rule causes', () => {
  it('is laid to the part that says what stands at its path', () => {
    expect(partFor(parts, ['fit', 'align'])?.text).toBe('62 % across, 55 % down');
    expect(partFor(parts, ['fit', 'size'])?.editable.kind).toBe('fit');
    expect(partFor(parts, ['tint'])).toBeUndefined();
    const faults = faultsOf(parts, [
      cause('crop', 'warn', ['fit', 'size']),
      cause('distortion', 'fail', ['fit', 'size']),
      cause('keep-lost', 'fail', ['fit', 'align']),
      cause('enlargement', 'warn', ['picture']),
    ]);
    const said = [...faults].map(([part, fault]) => [part.editable.kind, fault]);
    expect(said).toEqual([
      ['fit', { outcome: 'fail', words: 'cropped too much, distorted' }],
      ['align', { outcome: 'fail', words: 'has a keep area cut off' }],
    ]);
  });

  it('is nothing without findings, and the gravest of several', () => {
    expect(faultOf([])).toBeNull();
    expect(faultOf([cause('crop', 'warn', []), cause('crop', 'warn', [])])).toEqual({
      outcome: 'warn',
      words: 'cropped too much',
    });
  });
});
