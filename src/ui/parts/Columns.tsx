'use client';
import type { ReactNode } from 'react';
import { useWorkbench } from '../state/context';

/** Three columns, of which those at the sides are drawers where there is no room for them. */
export function Columns({ children }: { children: ReactNode }) {
  const isEnlarged = useWorkbench((s) => s.view.lens === 'screens' && s.view.enlarged === true);
  const drawer = useWorkbench((s) => s.drawer);
  return (
    <div className={isEnlarged ? 'columns columns-enlarged' : 'columns'} data-drawer={drawer ?? undefined}>
      {children}
    </div>
  );
}
