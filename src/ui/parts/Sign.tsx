/** The mark: a dry valley with a stream in it. */
export function Sign() {
  return (
    <svg width="26" height="22" viewBox="0 0 26 22" aria-hidden="true">
      <path d="M1 3 L9 17 H17 L25 3" fill="none" stroke="#E9C98F" strokeWidth="2.6" strokeLinejoin="round" />
      <path d="M8 19.5 C11 17.5 15 21.5 18 19.5" stroke="#7CC4CC" strokeWidth="2.4" fill="none" />
    </svg>
  );
}
