import { area, type Rect } from '../geometry/rect';
import type { Screen } from '../screens/screen';

export class Share {
  constructor(
    readonly width: number,
    readonly height: number,
    readonly area: number,
    /** width on the panel in mm; `null` where the screen's px per inch are not known */
    readonly widthMm: number | null,
  ) {}
}

export const MM_PER_INCH = 25.4;

/** Share of the screen that the visible drawing takes, 0..1; zeros when nothing is visible. @param rect the whole screen */
export function share(seen: Rect | null, rect: Rect, screen: Screen): Share {
  const width = seen?.width ?? 0;
  const panelPxPerLu = (screen.density * screen.panelPx.width) / screen.framebufferPx.width;
  return new Share(
    width / rect.width,
    (seen?.height ?? 0) / rect.height,
    seen ? area(seen) / area(rect) : 0,
    screen.ppi ? ((width * panelPxPerLu) / screen.ppi) * MM_PER_INCH : null,
  );
}
