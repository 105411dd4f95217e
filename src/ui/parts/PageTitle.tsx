/**
 * What the window of a page is called, the most particular first: “Winter splash · fits · Larkmoor Ferries · Coulee”.
 * It is part of the page and not of what the framework says about the page, which it would say again after a change.
 */
export const PageTitle = ({ of = [] }: { of?: readonly (string | undefined)[] }) => (
  <title>{[...of, 'Coulee'].filter(Boolean).join(' · ')}</title>
);
