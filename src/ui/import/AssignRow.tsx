'use client';
import { Button, Form } from 'react-bootstrap';
import type { Assigned } from '@/core/pictures/assign';
import { sayFile } from '../words';
import { SHOWN, SHOWN_WORDS, type ShownAs } from '@/core/project/place-picture';

const CUTS = ['any', 'portrait', 'landscape'] as const;

interface RowProps {
  file: Assigned;
  isNew: boolean;
  /** whether it is the first file of its picture */
  isFirst: boolean;
  role: ShownAs;
  onRole: (role: ShownAs) => void;
  clash: boolean;
  onChange: (change: Partial<Assigned>) => void;
  onLeave: () => void;
}

type ChangeProps = Pick<RowProps, 'file' | 'onChange'>;

/** The cut, the appearance and the density that a file is for. */
function PlaceCells({ file, onChange }: ChangeProps) {
  const { path } = file.arrived;
  const because = { because: 'as you say' };
  return (
    <>
      <td>
        <Form.Select
          aria-label={`Cut of ${path}`}
          value={file.cut}
          onChange={(e) => onChange({ cut: e.target.value as Assigned['cut'], ...because })}
        >
          {CUTS.map((cut) => (
            <option key={cut}>{cut}</option>
          ))}
        </Form.Select>
      </td>
      <td>
        <Form.Select
          aria-label={`Appearance of ${path}`}
          value={file.appearance}
          onChange={(e) => onChange({ appearance: e.target.value as Assigned['appearance'], ...because })}
        >
          <option>light</option>
          <option>dark</option>
        </Form.Select>
      </td>
      <td>
        <Form.Control
          type="number"
          className="figures"
          min={0.25}
          step={0.25}
          aria-label={`Density of ${path}`}
          value={file.density}
          onChange={(e) => {
            const density = Number(e.target.value);
            if (density > 0) onChange({ density, ...because });
          }}
        />
      </td>
    </>
  );
}

/** What a new picture is shown as in the scene. */
function RoleSelect({ picture, role, onRole }: { picture: string } & Pick<RowProps, 'role' | 'onRole'>) {
  return (
    <Form.Select
      aria-label={`${picture} is shown as`}
      value={role}
      onChange={(e) => onRole(e.target.value as ShownAs)}
    >
      {SHOWN.map((value) => (
        <option key={value} value={value}>
          {SHOWN_WORDS[value]}
        </option>
      ))}
    </Form.Select>
  );
}

/** Where one file goes, with what said so. */
export function AssignRow({ file, isNew, isFirst, role, onRole, clash, onChange, onLeave }: RowProps) {
  const { path, file: kept } = file.arrived;
  return (
    <tr className={clash ? 'assign-clash' : undefined}>
      <th scope="row">
        {path}
        <span className="quiet figures">{sayFile(kept)}</span>
      </th>
      <td>
        <Form.Control
          aria-label={`Picture of ${path}`}
          value={file.picture}
          maxLength={120}
          onChange={(e) => onChange({ picture: e.target.value })}
        />
        {isNew && <span className="quiet">a new picture</span>}
      </td>
      <PlaceCells {...{ file, onChange }} />
      <td>{isNew && isFirst && <RoleSelect picture={file.picture} {...{ role, onRole }} />}</td>
      <td className="quiet">{clash ? 'the same place as another file' : file.because}</td>
      <td>
        <Button variant="quiet" size="sm" aria-label={`Remove ${path}`} onClick={onLeave}>
          remove
        </Button>
      </td>
    </tr>
  );
}
