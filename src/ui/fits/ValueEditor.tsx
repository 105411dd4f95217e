'use client';
import { Form } from 'react-bootstrap';
import type { Compared, ComparedValues } from '@/core/findings/variants';
import { EditorPopover } from '../parts/EditorPopover';
import { NumberField } from '../parts/NumberField';
import { useWorkbench } from '../state/context';

interface Props {
  /** what the row says now */
  label: string;
  part: Compared;
  /** which of the values */
  at: number;
  values: ComparedValues;
  onChange: (values: ComparedValues) => void;
}

const AXES = [
  ['x', 'Across'],
  ['y', 'Down'],
] as const;

/** Nothing of a comparison is kept: there is no step to be ended. */
const onCommit = () => {};

function Fields({ part, at, values, onChange }: Omit<Props, 'label'>) {
  const pictures = useWorkbench((s) => s.documents.project.pictures);
  if (part === 'size')
    return (
      <NumberField
        label="Of the safe area"
        unit="%"
        min={1}
        max={100}
        value={values.size[at]!}
        onChange={(share) => onChange({ ...values, size: values.size.with(at, share) })}
        onCommit={onCommit}
        autoFocus
      />
    );
  if (part === 'position') {
    const position = values.position[at]!;
    const move = (change: Partial<typeof position>) =>
      onChange({ ...values, position: values.position.with(at, { ...position, ...change }) });
    return AXES.map(([axis, label]) => (
      <NumberField
        key={axis}
        label={label}
        unit="%"
        value={position[axis]}
        onChange={(share) => move({ [axis]: share })}
        onCommit={onCommit}
        autoFocus={axis === 'x'}
      />
    ));
  }
  return (
    <Form.Select
      size="sm"
      aria-label="Picture to compare with"
      value={values.picture[at]}
      onChange={(e) => onChange({ ...values, picture: values.picture.with(at, e.target.value) })}
      autoFocus
    >
      {pictures.map((p) => (
        <option key={p.id} value={p.id}>
          {p.name}
        </option>
      ))}
    </Form.Select>
  );
}

/** A value that is compared with the one in use, as a part that can be changed. */
export function ValueEditor({ label, ...rest }: Props) {
  return (
    <EditorPopover
      label="Value to compare with"
      button={{ bsPrefix: 'part', children: label, 'aria-label': `Compare with another value than ${label}` }}
    >
      {() => <Fields {...rest} />}
    </EditorPopover>
  );
}
