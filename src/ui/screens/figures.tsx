import { Fragment, type ReactNode } from 'react';
import type { FigureName } from '@/core/measure/descriptor';
import { SIDES, type PerSide } from '@/core/geometry/rect';
import { Why } from '../cause/Why';

/** A line of the table of figures. */
export interface Row {
  label: string;
  title?: string;
  value: ReactNode;
  measure?: string;
}

/** What is left out where it says nothing. */
export type Maybe = Row | null | false;

/** Figures of a layer, each of which can be asked where it comes from. */
export function asked(layerId: string, label: string) {
  return {
    one: (name: FigureName, text: string) => (
      <Why question={{ layerId, figure: { name } }} text={text} label={label} />
    ),
    sides: (name: FigureName, values: PerSide, say: (v: number) => string) =>
      SIDES.map((side, i) => (
        <Fragment key={side}>
          {i > 0 && ' · '}
          <Why
            question={{ layerId, figure: { name, side } }}
            text={say(values[side])}
            label={`${label}, ${side}`}
          />
        </Fragment>
      )),
  };
}
