'use client';
import { turn } from '@/core/screens/turn';
import type { Rotation, Screen } from '@/core/screens/screen';

/** CSS px for a lu, unless the screen would be larger than the room. */
const USUAL_SCALE = 0.28;
const ROOM = { width: 300, height: 300 };

interface Props {
  screen: Screen;
  rotation?: Rotation;
  /** CSS px that it may take */
  room?: { width: number; height: number };
}

/** A screen as it is held: its glass, the insets hatched, its cutouts; all at one scale, so that screens can be compared. */
export function ScreenDrawing({ screen, rotation = 0, room = ROOM }: Props) {
  const { size, insets, cutouts } = turn(screen, rotation);
  const scale = Math.min(USUAL_SCALE, room.width / size.width, room.height / size.height);
  const safe = {
    x: insets.left,
    y: insets.top,
    width: Math.max(0, size.width - insets.left - insets.right),
    height: Math.max(0, size.height - insets.top - insets.bottom),
  };
  const id = `safe-${screen.id}-${rotation}`;
  return (
    <svg
      className="screen-drawing"
      width={size.width * scale + 2}
      height={size.height * scale + 2}
      viewBox={`-1 -1 ${size.width * scale + 2} ${size.height * scale + 2}`}
      role="img"
      aria-label={`Drawing of ${screen.label}`}
    >
      <defs>
        <pattern id={id} width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line y2="5" className="screen-hatch" />
        </pattern>
      </defs>
      <g transform={`scale(${scale})`}>
        <rect className="screen-glass" {...size} rx={screen.cornerRadius} />
        <rect {...size} rx={screen.cornerRadius} fill={`url(#${id})`} />
        <rect className="screen-safe" {...safe} vectorEffect="non-scaling-stroke" />
        {cutouts.map((c, i) => (
          <rect
            // A cutout has nothing else to be told by.
            key={i}
            className="screen-cutout"
            x={c.x}
            y={c.y}
            width={Math.max(c.width, 1)}
            height={Math.max(c.height, 1)}
            rx={c.radius}
          />
        ))}
      </g>
    </svg>
  );
}
