'use client';
import type { Part, Token } from '@/core/sentences/parts';
import type { Layer } from '@/core/scene/scene';
import { useAnswerPart } from '../state/asked-part';
import { useWorkbench } from '../state/context';
import { EditorPopover } from '../parts/EditorPopover';
import { PartEditor } from './PartEditor';
import type { PartFault } from './causes';
import { partKey } from './part-at';
import { Swatch } from './Swatch';

interface PartProps {
  layer: Layer;
  part: Part;
  /** what stands on the button instead of the part’s own text, which it is then called by */
  text?: string;
  /** what it causes, where it does */
  fault?: PartFault;
  /** whether its editor was asked for elsewhere */
  isAsked: boolean;
}

function PartSwatch({ part: { editable } }: { part: Part }) {
  const named = useWorkbench((s) => s.documents.project.named);
  const appearance = useWorkbench((s) => s.view.appearance);
  if (editable.kind !== 'colour' && editable.kind !== 'paint') return null;
  return <Swatch paint={editable.value} {...{ named, appearance }} />;
}

/** A part of a sentence: a button that opens its editor in place. */
export function PartButton({ layer, part, text, fault, isAsked }: PartProps) {
  const onClosed = useAnswerPart();
  return (
    <EditorPopover
      label={`Change “${part.text}”`}
      isAsked={isAsked}
      onClosed={onClosed}
      button={{
        bsPrefix: 'part',
        className: `part-${part.editable.kind}${fault ? ` part-${fault.outcome}` : ''}`,
        title: fault && `Causes: ${fault.words}`,
        'aria-label': text && `${part.text}, ${text}`,
        children: (
          <>
            <PartSwatch part={part} />
            {text ?? part.text}
          </>
        ),
      }}
    >
      {(close) => <PartEditor layer={layer} part={part} onDone={close} />}
    </EditorPopover>
  );
}

const isPart = (token: Token | undefined) => token !== undefined && typeof token !== 'string';

/** The comma or full stop with which words go on after a part. */
const stopAt = (token: Token | undefined) => (typeof token === 'string' ? /^[,.;:]?/.exec(token)![0] : '');

interface SentenceProps {
  layer: Layer;
  tokens: readonly Token[];
  faults: ReadonlyMap<Part, PartFault>;
  /** the part whose editor was asked for elsewhere */
  asked: Part | undefined;
}

/** A rule as it is read, with its parts as buttons. The parts keep their places while their text changes. */
export function Sentence({ layer, tokens, faults, asked }: SentenceProps) {
  return (
    <div className="sentence">
      {tokens.map((token, index) =>
        typeof token === 'string' ? (
          <span key={index}>{isPart(tokens[index - 1]) ? token.slice(stopAt(token).length) : token}</span>
        ) : (
          <span className="part-and-stop" key={partKey(token)}>
            <PartButton layer={layer} part={token} fault={faults.get(token)} isAsked={token === asked} />
            {stopAt(tokens[index + 1])}
          </span>
        ),
      )}
    </div>
  );
}
