'use client';
import { memo } from 'react';
import { Form } from 'react-bootstrap';
import type { Screen } from '@/core/screens/screen';
import type { ScreenSet } from '@/core/screens/set';
import { saySize, sayDensity, sayNumber } from '@/core/words/numbers';
import { kindName } from '../words';
import { useSetEdits } from '../state/useSets';

const ORIGINS: Record<Screen['origin'], string> = {
  catalogue: 'catalogue',
  custom: 'own',
  imported: 'imported',
  measured: 'measured',
};

const SURE = { high: '', medium: 'nearly sure', low: 'not sure' } as const;

interface RowProps {
  screen: Screen;
  /** `undefined` where no set is put together */
  isIn: boolean | undefined;
  isChosen: boolean;
  onTick: (id: string, isIn: boolean) => void;
  onChoose: (id: string) => void;
}

const Row = memo(function Row({ screen: s, isIn, isChosen, onTick, onChoose }: RowProps) {
  return (
    <tr className={isChosen ? 'sets-chosen' : undefined}>
      {isIn !== undefined && (
        <td>
          <Form.Check
            type="checkbox"
            aria-label={`${s.label} is in the set`}
            checked={isIn}
            onChange={() => onTick(s.id, isIn)}
          />
        </td>
      )}
      <th scope="row">
        <button type="button" className="set-open" aria-current={isChosen} onClick={() => onChoose(s.id)}>
          {kindName(s)} {saySize(s)}
        </button>
      </th>
      <td className="sets-label">{s.label}</td>
      <td className="figures">{sayDensity(s.density)}</td>
      <td className="figures">{sayNumber(s.weight)}</td>
      <td>
        {ORIGINS[s.origin]}
        {s.confidence !== 'high' && <span className="quiet">, {SURE[s.confidence]}</span>}
      </td>
    </tr>
  );
});

interface Props {
  screens: readonly Screen[];
  /** the set that is put together, or `null` */
  set: ScreenSet | null;
  chosen: string | null;
  onChoose: (id: string) => void;
}

/** The screens, with what is known of them at a glance; ticked where they are in the set. */
export function ScreenRows({ screens, set, chosen, onChoose }: Props) {
  const { putIn, takeOut } = useSetEdits();
  const members = new Set(set?.screens);
  const tick = (id: string, isIn: boolean) => {
    if (!set) return;
    if (isIn) takeOut(set, [id]);
    else putIn(set.id, [id]);
  };
  return (
    <div className="sets-rows" role="region" aria-label="List of screens" tabIndex={0}>
      <table>
        <thead>
          <tr>
            {set && <th scope="col">in</th>}
            <th scope="col">screen, lu</th>
            <th scope="col">name</th>
            <th scope="col">px per lu</th>
            <th scope="col">weight</th>
            <th scope="col">from</th>
          </tr>
        </thead>
        <tbody>
          {screens.map((s) => (
            <Row
              key={s.id}
              screen={s}
              isIn={set ? members.has(s.id) : undefined}
              isChosen={s.id === chosen}
              onTick={tick}
              onChoose={onChoose}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}
