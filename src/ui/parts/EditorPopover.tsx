'use client';
import {
  autoUpdate,
  flip,
  shift,
  useDismiss,
  useFloating,
  useInteractions,
  type Middleware,
} from '@floating-ui/react';
import { useEffect, useId, useRef, useState, type ReactNode, type RefObject } from 'react';
import { Button, type ButtonProps } from 'react-bootstrap';
import { useWorkbenchStore } from '../state/context';
import { commit } from '../state/edit';

interface Props {
  /** what the editor is called */
  label: string;
  /** of the button, where what is chosen has it made anew: the focus goes back to the one of that id */
  id?: string;
  /** whether it was asked for elsewhere: it is then scrolled to and open */
  isAsked?: boolean;
  /** hears that it is closed */
  onClosed?: () => void;
  /** for sentences rather than fields */
  wide?: boolean;
  button: Omit<ButtonProps, 'onClick' | 'id'> & { 'aria-label'?: string };
  /** @param close ends the gesture, closes, and gives the focus back to the button */
  children: (close: () => void) => ReactNode;
}

/** CSS px that stay free between what floats and the edges of the window. */
const ROOM = { padding: 8 };

/** No higher than down to the lower edge of the window, whatever comes into it later. */
const withinWindow: Middleware = {
  name: 'withinWindow',
  fn: ({ y, elements }) => {
    elements.floating.style.maxHeight = `${window.innerHeight - y - ROOM.padding}px`;
    return {};
  },
};

interface SurfaceProps {
  target: RefObject<HTMLButtonElement | null>;
  label: string;
  wide?: boolean;
  /** what is pressed outside closes it */
  onHide: () => void;
  onEscape: () => void;
  children: ReactNode;
}

/** Beside its button where there is room, otherwise wherever it can be seen whole; what comes into it later is scrolled to. */
function Surface({ target, label, wide, onHide, onEscape, children }: SurfaceProps) {
  const [element, setElement] = useState<HTMLDivElement | null>(null);
  const { floatingStyles, context, isPositioned } = useFloating({
    open: true,
    onOpenChange: (_open, _event, reason) => (reason === 'escape-key' ? onEscape() : onHide()),
    placement: 'bottom-start',
    strategy: 'fixed',
    middleware: [flip(ROOM), shift({ ...ROOM, crossAxis: true }), withinWindow],
    // Where it opened it stays: what it holds grows within it, and what is edited may move.
    whileElementsMounted: (reference, floating, update) =>
      autoUpdate(reference, floating, update, { elementResize: false, layoutShift: false }),
    elements: { reference: target.current, floating: element },
  });
  // A press on the button is the button’s own. Escape is heard below, so that it closes the innermost alone; and everywhere,
  // as what had the focus may be gone.
  const isOutside = (event: MouseEvent) => !target.current?.contains(event.target as Node);
  const dismiss = useDismiss(context, { outsidePress: isOutside });
  const { getFloatingProps } = useInteractions([dismiss]);
  return (
    <div
      ref={setElement}
      className={wide ? 'popover part-editor part-editor-wide' : 'popover part-editor'}
      // Seen once it has its place; hidden, it could not take the focus.
      style={isPositioned ? floatingStyles : { ...floatingStyles, opacity: 0 }}
      role="dialog"
      aria-label={label}
      {...getFloatingProps({
        onKeyDown: (e) => {
          if (e.key !== 'Escape') return;
          e.stopPropagation();
          onEscape();
        },
      })}
    >
      <div className="popover-body">{children}</div>
    </div>
  );
}

/** A button that opens an editor in place: Enter opens, Escape closes, and what was changed is one step. */
export function EditorPopover({
  label,
  id: given,
  isAsked = false,
  onClosed,
  wide,
  button,
  children,
}: Props) {
  const store = useWorkbenchStore();
  const own = useId();
  const id = given ?? own;
  const [pressed, setPressed] = useState(false);
  const target = useRef<HTMLButtonElement>(null);
  const open = pressed || isAsked;
  useEffect(() => {
    if (!isAsked) return;
    target.current?.scrollIntoView({ block: 'nearest' });
    target.current?.focus();
  }, [isAsked]);
  const hide = () => {
    commit(store);
    setPressed(false);
    onClosed?.();
  };
  const close = () => {
    hide();
    document.getElementById(id)?.focus();
  };
  return (
    <span>
      <Button
        {...button}
        id={id}
        ref={target}
        aria-haspopup="dialog"
        aria-expanded={open}
        onClick={() => (open ? close() : setPressed(true))}
      />
      {/* Only while it is open: a page has hundreds of these. */}
      {open && (
        <Surface {...{ target, label, wide }} onHide={hide} onEscape={close}>
          {children(close)}
        </Surface>
      )}
    </span>
  );
}
