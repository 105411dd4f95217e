'use client';
import { useWorkbench } from '../state/context';

/** Whose weights what is weighed goes by. */
export function WeightsFrom() {
  const weights = useWorkbench((s) => s.documents.project.weights);
  return weights ? `Weights are from ${weights.source}.` : 'Weights are illustrative until you import yours.';
}
