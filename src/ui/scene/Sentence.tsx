'use client';
import { useRef, useState } from 'react';
import { Button, Overlay, Popover } from 'react-bootstrap';
import type { Part, Token } from '@/core/sentences/parts';
import type { Layer } from '@/core/scene/scene';
import { useWorkbenchStore } from '../state/context';
import { commit } from '../state/edit';
import { PartEditor } from './PartEditor';

interface PartProps {
  layer: Layer;
  part: Part;
  /** what stands on the button instead of the part’s own text, which it is then called by */
  text?: string;
}

/** A part of a sentence: a button that opens its editor in place. */
export function PartButton({ layer, part, text }: PartProps) {
  const store = useWorkbenchStore();
  const [open, setOpen] = useState(false);
  const button = useRef<HTMLButtonElement>(null);
  const holder = useRef<HTMLSpanElement>(null);
  const close = () => {
    commit(store);
    setOpen(false);
    button.current?.focus();
  };
  return (
    <span ref={holder}>
      <Button
        ref={button}
        bsPrefix="part"
        className={`part-${part.editable.kind}`}
        aria-haspopup="dialog"
        aria-label={text && `${part.text}, ${text}`}
        aria-expanded={open}
        onClick={() => (open ? close() : setOpen(true))}
      >
        {text ?? part.text}
      </Button>
      <Overlay
        target={button}
        container={holder}
        show={open}
        placement="bottom-start"
        transition={false}
        rootClose
        onHide={() => {
          commit(store);
          setOpen(false);
        }}
        popperConfig={{ strategy: 'fixed' }}
      >
        <Popover
          className="part-editor"
          role="dialog"
          aria-label={`Change “${part.text}”`}
          onKeyDown={(e) => {
            if (e.key !== 'Escape') return;
            e.stopPropagation();
            close();
          }}
        >
          <Popover.Body>
            <PartEditor layer={layer} part={part} onDone={close} />
          </Popover.Body>
        </Popover>
      </Overlay>
    </span>
  );
}

/** A rule as it is read, with its parts as buttons. The parts keep their places while their text changes. */
export function Sentence({ layer, tokens }: { layer: Layer; tokens: readonly Token[] }) {
  return (
    <p className="sentence">
      {tokens.map((token, index) =>
        typeof token === 'string' ? (
          <span key={index}>{token}</span>
        ) : (
          <PartButton
            key={`${token.editable.kind} ${token.paths.map((p) => p.join('.')).join(' ')}`}
            layer={layer}
            part={token}
          />
        ),
      )}
    </p>
  );
}
