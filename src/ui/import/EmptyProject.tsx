'use client';
import { Button } from 'react-bootstrap';
import { AddressForm } from './AddressForm';
import { useImports } from './imports';

/** A project without a scene: one place to drop things. */
export function EmptyProject() {
  const { pick, isTaking } = useImports();
  if (isTaking)
    return (
      <main className="empty" id="main">
        <p role="status">
          Your files are being read. The first of them is shown on every screen as soon as they are.
        </p>
      </main>
    );
  return (
    <main className="empty" id="main">
      <div className="drop-target">
        <p>
          Drop a background or a logo here, as PNG, JPEG, WebP, AVIF or SVG. You will see it on every screen
          at once, with what is cut, bare or soft.
        </p>
        <Button variant="primary" onClick={pick}>
          Choose files
        </Button>{' '}
        <AddressForm />
      </div>
    </main>
  );
}
