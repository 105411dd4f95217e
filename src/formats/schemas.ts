import { z } from 'zod';
import { Project } from '@/core/project/project';
import { Scene } from '@/core/scene/scene';
import { Since } from '@/core/since/schema';
import { WebManifest } from './manifest';
import { reviewJsonSchema } from './review-json';
import { sheetJsonSchema } from './sheet/all';

/** Source: JSON Schema, draft 2020-12. What is said twice is said once, and referred to. */
const jsonSchema = (schema: z.ZodType, title: string): object => ({
  title,
  ...z.toJSONSchema(schema, { target: 'draft-2020-12', reused: 'ref', unrepresentable: 'any' }),
});

/** The JSON Schema of everything that is written down as JSON, by its name. */
export const SCHEMAS: ReadonlyMap<string, () => object> = new Map([
  ['review', reviewJsonSchema],
  ['sheet', sheetJsonSchema],
  ['since', () => jsonSchema(Since, 'What has changed in a project since a sign-off')],
  ['project', () => jsonSchema(Project, 'A project: its pictures, named values, screens, limits, launches')],
  ['scene', () => jsonSchema(Scene, 'A scene: its layers and their rules')],
  ['manifest', () => jsonSchema(WebManifest, 'Icons and colours as a Web App Manifest')],
]);
