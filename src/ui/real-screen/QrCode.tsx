'use client';
import { create } from 'qrcode';
import { useMemo } from 'react';

/** Modules that are left free around a code. Source: ISO/IEC 18004, quiet zone. */
const QUIET = 4;

/** A text as a code that cameras read; dark on light in every appearance, as not all of them read it the other way round. */
export function QrCode({ text, label }: { text: string; label: string }) {
  const { size, path } = useMemo(() => {
    const { modules } = create(text, { errorCorrectionLevel: 'M' });
    const dark = Array.from({ length: modules.size ** 2 }, (_, i) => i).filter((i) =>
      modules.get(Math.floor(i / modules.size), i % modules.size),
    );
    const squares = dark.map((i) => `M${i % modules.size} ${Math.floor(i / modules.size)}h1v1h-1z`);
    return { size: modules.size, path: squares.join('') };
  }, [text]);
  const side = size + 2 * QUIET;
  return (
    <svg
      className="qr"
      role="img"
      aria-label={label}
      viewBox={`${-QUIET} ${-QUIET} ${side} ${side}`}
      shapeRendering="crispEdges"
    >
      <path className="qr-light" d={`M${-QUIET} ${-QUIET}h${side}v${side}h${-side}z`} />
      <path className="qr-dark" d={path} />
    </svg>
  );
}
