import { JOB_STATES } from '@/formats/job';
import { blob, index, integer, primaryKey, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';

/** `deletedAt` hides a project until it is brought back or swept. Times are ISO 8601. */
export const projects = sqliteTable('projects', {
  id: text('id').primaryKey(),
  name: text('name').notNull(),
  revision: integer('revision').notNull(),
  createdAt: text('created_at').notNull(),
  updatedAt: text('updated_at').notNull(),
  deletedAt: text('deleted_at'),
});

/** The documents of a project as JSON: `project` once (its id again), `scene` as often as there are scenes. */
export const documents = sqliteTable(
  'documents',
  {
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    kind: text('kind', { enum: ['project', 'scene'] }).notNull(),
    id: text('id').notNull(),
    body: text('body').notNull(),
  },
  (t) => [primaryKey({ columns: [t.projectId, t.kind, t.id] })],
);

/** A picture file whose bytes lie in the store under their SHA-256. The row is written after the bytes are safe. */
export const blobs = sqliteTable('blobs', {
  hash: text('hash').primaryKey(),
  type: text('type').notNull(),
  bytes: integer('bytes').notNull(),
  widthPx: integer('width_px').notNull(),
  heightPx: integer('height_px').notNull(),
  vector: integer('vector', { mode: 'boolean' }).notNull(),
  transparent: integer('transparent', { mode: 'boolean' }).notNull().default(false),
  profile: text('profile'),
  /** whether its EXIF orientation turns it; not known of files that were kept earlier */
  turned: integer('turned', { mode: 'boolean' }).notNull().default(false),
  /** more than one where it moves */
  pictures: integer('pictures').notNull().default(1),
  /** what its pixels say, as JSON; worked out when it is first asked for */
  statistics: text('statistics'),
  createdAt: text('created_at').notNull(),
});

/** An imported font whose bytes lie in the store under their SHA-256, beside those of pictures. */
export const fonts = sqliteTable('fonts', {
  hash: text('hash').primaryKey(),
  type: text('type').notNull(),
  bytes: integer('bytes').notNull(),
  /** the name that the font gives itself */
  name: text('name').notNull(),
  /** what it can write, as JSON: a list of names of scripts */
  scripts: text('scripts').notNull(),
  createdAt: text('created_at').notNull(),
});

/** Every change of a project, in order: what it did and what takes it back, as JSON Patches over all documents. */
export const history = sqliteTable(
  'history',
  {
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    /** the revision that the change led to */
    revision: integer('revision').notNull(),
    changeId: text('change_id').notNull(),
    patch: text('patch').notNull(),
    inverse: text('inverse').notNull(),
    /** what the step is called, as JSON; of steps of earlier versions it is told from what they changed */
    step: text('step'),
    at: text('at').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.projectId, t.revision] }),
    index('history_change').on(t.projectId, t.changeId),
  ],
);

/** Of what is kept with a project as proof, in the order in which it was made or taken in; `body` is JSON. */
const proof = () => ({
  number: integer('number').primaryKey({ autoIncrement: true }),
  projectId: text('project_id')
    .notNull()
    .references(() => projects.id, { onDelete: 'cascade' }),
  id: text('id').notNull(),
  body: text('body').notNull(),
});

/** A project as somebody has signed it off, as JSON under a seal. Rows are never changed: the database refuses it. */
export const signOffs = sqliteTable(
  'sign_offs',
  {
    ...proof(),
  },
  (t) => [uniqueIndex('sign_offs_id').on(t.projectId, t.id)],
);

/** Where real screenshots were kept before they came into the documents; read at a start, and empty from then on. */
export const evidence = sqliteTable(
  'evidence',
  {
    ...proof(),
    picture: blob('picture', { mode: 'buffer' }).notNull(),
  },
  (t) => [uniqueIndex('evidence_id').on(t.projectId, t.id)],
);

/** A screen that somebody has described for all projects of the store, as JSON. */
export const sharedScreens = sqliteTable('shared_screens', {
  id: text('id').primaryKey(),
  body: text('body').notNull(),
  sharedAt: text('shared_at').notNull(),
});

/** Work that takes longer than a request may. Its result is a file by its hash, kept for a day. Times are ISO 8601. */
export const jobs = sqliteTable(
  'jobs',
  {
    id: text('id').primaryKey(),
    projectId: text('project_id')
      .notNull()
      .references(() => projects.id, { onDelete: 'cascade' }),
    /** what was asked for, as JSON */
    asked: text('asked').notNull(),
    state: text('state', { enum: JOB_STATES }).notNull(),
    /** how it ended, as JSON: its result, or what went wrong */
    outcome: text('outcome'),
    createdAt: text('created_at').notNull(),
    endedAt: text('ended_at'),
  },
  (t) => [index('jobs_state').on(t.state)],
);
