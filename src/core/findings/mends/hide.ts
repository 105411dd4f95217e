import { layerMend, placedLayer, type Mender } from '../mend';

/** What shows nothing need not be there. */
export const hide: Mender = (sick) =>
  placedLayer(sick) ? layerMend(sick, 'Hide it', (l) => ({ ...l, visible: false })) : [];
