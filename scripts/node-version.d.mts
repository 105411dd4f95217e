export function isWithin(version: string, range: string): boolean;
