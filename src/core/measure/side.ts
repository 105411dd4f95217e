import { z } from 'zod';

export const MeasureSide = z.enum(['left', 'right', 'top', 'bottom', 'total']);
export type MeasureSide = z.infer<typeof MeasureSide>;
