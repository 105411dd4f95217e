'use client';
import { Button } from 'react-bootstrap';
import { useWorkbench, useWorkbenchStore } from '../state/context';

interface Props {
  /** what the column at the start holds */
  rules?: string;
  /** what the column at the end holds */
  closeUp?: string;
}

/** The ways to the side columns where there is no room for them. */
export function DrawerWays({ rules = 'rules', closeUp = 'close-up' }: Props) {
  const store = useWorkbenchStore();
  const drawer = useWorkbench((s) => s.drawer);
  const way = (id: 'rules' | 'close-up', label: string) => (
    <Button
      variant="quiet"
      size="sm"
      className={`for-${id}`}
      aria-expanded={drawer === id}
      onClick={() => store.setState({ drawer: drawer === id ? null : id })}
    >
      {label}
    </Button>
  );
  return (
    <div className="drawer-ways">
      {way('rules', rules)}
      {way('close-up', closeUp)}
    </div>
  );
}

/** Closes a side column; it is only seen where that lies over what is in the middle. */
export function CloseDrawer() {
  const store = useWorkbenchStore();
  return (
    <div className="drawer-ways drawer-end">
      <Button variant="quiet" size="sm" onClick={() => store.setState({ drawer: null })}>
        close
      </Button>
    </div>
  );
}
