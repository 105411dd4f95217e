'use client';
import { useEffect, useId, useRef, useState, type ReactNode } from 'react';
import { Button, Overlay, Popover, type ButtonProps, type PopoverProps } from 'react-bootstrap';
import { useWorkbenchStore } from '../state/context';
import { commit } from '../state/edit';

interface Props {
  /** what the editor is called */
  label: string;
  /** of the button, where it has to be found from elsewhere */
  id?: string;
  /** for sentences rather than fields */
  wide?: boolean;
  button: Omit<ButtonProps, 'onClick' | 'id'> & { 'aria-label'?: string };
  /** @param close ends the gesture, closes, and gives the focus back to the button */
  children: (close: () => void) => ReactNode;
}

/** Beside its button where there is room, otherwise wherever it can be seen whole. */
const POPPER = {
  strategy: 'fixed' as const,
  modifiers: [
    {
      name: 'preventOverflow',
      options: { altAxis: true, padding: 8, rootBoundary: 'viewport', boundary: [] },
    },
  ],
};

/** Finds a place where it can be seen whole again when what it holds grows, as by a message. */
function Surface({ children, ...props }: PopoverProps) {
  const { popper } = props;
  const body = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const sizes = new ResizeObserver(() => popper?.scheduleUpdate?.());
    if (body.current) sizes.observe(body.current);
    return () => sizes.disconnect();
  }, [popper]);
  return (
    <Popover {...props}>
      <Popover.Body ref={body}>{children}</Popover.Body>
    </Popover>
  );
}

/** A button that opens an editor in place: Enter opens, Escape closes, and what was changed is one step. */
export function EditorPopover({ label, id: given, wide, button, children }: Props) {
  const store = useWorkbenchStore();
  const own = useId();
  const id = given ?? own;
  const [open, setOpen] = useState(false);
  const target = useRef<HTMLButtonElement>(null);
  const holder = useRef<HTMLSpanElement>(null);
  const hide = () => {
    commit(store);
    setOpen(false);
  };
  const close = () => {
    hide();
    document.getElementById(id)?.focus();
  };
  return (
    <span ref={holder}>
      <Button
        {...button}
        id={id}
        ref={target}
        aria-haspopup="dialog"
        aria-expanded={open}
        onClick={() => (open ? close() : setOpen(true))}
      />
      {/* Only while it is open: a page has hundreds of these. */}
      {open && (
        <Overlay
          target={target}
          container={holder}
          show
          placement="bottom-start"
          flip
          transition={false}
          rootClose
          onHide={hide}
          popperConfig={POPPER}
        >
          <Surface
            className={wide ? 'part-editor part-editor-wide' : 'part-editor'}
            role="dialog"
            aria-label={label}
            onKeyDown={(e) => {
              if (e.key !== 'Escape') return;
              e.stopPropagation();
              close();
            }}
          >
            {children(close)}
          </Surface>
        </Overlay>
      )}
    </span>
  );
}
