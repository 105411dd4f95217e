'use client';
import type { Part, Token } from '@/core/sentences/parts';
import type { Layer } from '@/core/scene/scene';
import { EditorPopover } from './EditorPopover';
import { PartEditor } from './PartEditor';
import { partMark } from './open-part';

interface PartProps {
  layer: Layer;
  part: Part;
  /** what stands on the button instead of the part’s own text, which it is then called by */
  text?: string;
}

/** A part of a sentence: a button that opens its editor in place. */
export function PartButton({ layer, part, text }: PartProps) {
  return (
    <EditorPopover
      label={`Change “${part.text}”`}
      button={{
        bsPrefix: 'part',
        ...partMark(layer.id, part),
        className: `part-${part.editable.kind}`,
        'aria-label': text && `${part.text}, ${text}`,
        children: text ?? part.text,
      }}
    >
      {(close) => <PartEditor layer={layer} part={part} onDone={close} />}
    </EditorPopover>
  );
}

const partKey = ({ editable, paths }: Part) => `${editable.kind} ${paths.map((p) => p.join('.')).join(' ')}`;

/** A rule as it is read, with its parts as buttons. The parts keep their places while their text changes. */
export function Sentence({ layer, tokens }: { layer: Layer; tokens: readonly Token[] }) {
  return (
    <p className="sentence">
      {tokens.map((token, index) =>
        typeof token === 'string' ? (
          <span className="words" key={index}>
            {token}
          </span>
        ) : (
          <PartButton key={partKey(token)} layer={layer} part={token} />
        ),
      )}
    </p>
  );
}
