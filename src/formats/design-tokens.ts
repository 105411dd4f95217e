import type { Project } from '@/core/project/project';
import { writeTokens } from '@/core/tokens/write';

/** Source: Design Tokens Format Module 2025.10, §4.1. */
export const TOKENS_TYPE = 'application/design-tokens+json';

/** The named values of a project as a file of design tokens. */
export const tokensText = ({ named, tokens }: Pick<Project, 'named' | 'tokens'>): string =>
  `${JSON.stringify(writeTokens(named, tokens), null, 2)}\n`;
