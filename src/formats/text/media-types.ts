/** The media types of pictures. Source: the IANA registry of media types, `image`. */
export const MEDIA_TYPES = {
  png: 'image/png',
  jpeg: 'image/jpeg',
  webp: 'image/webp',
  avif: 'image/avif',
  svg: 'image/svg+xml',
} as const;
