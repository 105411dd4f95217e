'use client';
import { useState } from 'react';
import { isIcon } from '@/core/icons/slots';
import { scenesInOrder } from '@/core/project/documents';
import type { ExportWanted } from '@/formats/job';
import { Making } from '../parts/Making';
import { useJob } from '../parts/useJob';
import { useArranged } from '../state/useArranged';
import { useWorkbench } from '../state/context';
import { useTargets } from './useSheet';

/** One form in which something can be taken along. */
export interface Way {
  word: string;
  title: string;
  /** absent while what it is made of is not there yet */
  take?: () => unknown;
}

type ContactCases = 'telling' | 'field' | 'all';

interface PickProps {
  /** in the field, as it is filtered now */
  shown: number;
  value: ContactCases;
  onChoose: (value: ContactCases) => void;
}

/** Which cases a contact sheet shows. */
const ContactPick = ({ shown, value, onChoose }: PickProps) => (
  <select
    className="form-select form-select-sm"
    aria-label="Which cases a contact sheet shows"
    value={value}
    onChange={(e) => onChoose(e.target.value as ContactCases)}
  >
    <option value="telling">telling cases</option>
    <option value="field">{shown} in the field</option>
    <option value="all">all that differ</option>
  </select>
);

/** What the server makes of the open scene and of the project, one thing after another. */
export function useMade() {
  const { target } = useTargets();
  const scene = useWorkbench((s) => s.sceneId);
  const documents = useWorkbench((s) => s.documents);
  const icons = scenesInOrder(documents).filter(isIcon);
  const icon = icons.find((i) => i.id === scene) ?? icons[0];
  const field = useArranged().flatMap((g) => g.cases.map((c) => c.shown.id));
  const [of, setOf] = useState<ContactCases>('telling');
  const { job, begin, callOff } = useJob();
  const [what, setWhat] = useState('');
  const made =
    (name: string, as: ExportWanted['as']) =>
    (word: string, title: string, more: Partial<ExportWanted> = {}): Way => ({
      word,
      title,
      ...(!job && {
        take: () => {
          setWhat(name);
          void begin(name, { kind: 'export', options: { as, scene, target: target.id, ...more } });
        },
      }),
    });
  const cases = of === 'field' ? field : of;
  const contact = (as: 'contact-png' | 'contact-pdf', word: string, title: string): Way => {
    const way = made('The contact sheet', as)(word, title, { cases });
    return cases.length > 0 ? way : { word, title };
  };
  return {
    page: made('The page', 'page')('HTML + CSS', 'The scene as a page that lays itself out on any screen'),
    contactOf: <ContactPick shown={field.length} value={of} onChoose={setOf} />,
    sheets: [
      contact('contact-png', 'PNG', 'Cases beside one another, as a picture'),
      contact('contact-pdf', 'PDF', 'Cases beside one another, as a document'),
    ],
    report: made('The report', 'report')(
      'HTML',
      'What is wrong, with pictures before and after, what is accepted and why: on a screen or on paper',
    ),
    icons: icon
      ? made('The ZIP', 'icons')('ZIP', `All files of “${icon.name}”, for the slots that it is made for`, {
          scene: icon.id,
        })
      : null,
    archive: made('The archive', 'archive')('archive', 'All documents and files in one ZIP'),
    making: job && <Making what={what} progress={job.progress} callOff={callOff} />,
  };
}
