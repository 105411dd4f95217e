'use client';
import { useId } from 'react';
import { BUDGET_FOR, ENCODED_AS, ENCODED_WORDS, Encoding, USUAL_QUALITY } from '@/formats/files/encoding';

/** How files are encoded on their way out, as it is typed. */
export interface EncodingTyped {
  /** empty where they stay as they are */
  as: '' | Encoding['as'];
  by: 'quality' | (typeof BUDGET_FOR)[number];
  quality: string;
  kilobytes: string;
}

export const AS_THEY_ARE: EncodingTyped = {
  as: '',
  by: 'quality',
  quality: String(USUAL_QUALITY),
  kilobytes: '500',
};

/** What was typed as it is asked for: `undefined` for files as they are, `null` for a number that cannot be. */
export function encodingOf({ as, by, quality, kilobytes }: EncodingTyped): Encoding | undefined | null {
  if (as === '') return undefined;
  if (by === 'quality') return read({ as, keep: { by, quality: Number(quality) } });
  return read({ as, keep: { by: 'budget', bytes: Math.round(Number(kilobytes) * 1000), for: by } });
}
const read = (asked: Encoding) => (Encoding.safeParse(asked).success ? asked : null);

const BY_WORDS: Record<EncodingTyped['by'], string> = {
  quality: 'at quality',
  file: 'at most, each file',
  picture: 'at most, the files of each picture',
  set: 'at most, all files together',
};

interface Props {
  typed: EncodingTyped;
  onChange: (typed: EncodingTyped) => void;
}

interface KeepProps {
  typed: EncodingTyped;
  isInvalid: boolean;
  change: (part: Partial<EncodingTyped>) => void;
}

/** At which quality, or within how many kB. */
function KeepFields({ typed, isInvalid, change }: KeepProps) {
  const { by, quality, kilobytes } = typed;
  const isQuality = by === 'quality';
  return (
    <>
      <select
        className="form-select form-select-sm"
        aria-label="How they are encoded"
        value={by}
        onChange={(e) => change({ by: e.target.value as EncodingTyped['by'] })}
      >
        {(['quality', ...BUDGET_FOR] as const).map((one) => (
          <option key={one} value={one}>
            {BY_WORDS[one]}
          </option>
        ))}
      </select>
      <input
        className="form-control form-control-sm"
        type="number"
        min={1}
        max={isQuality ? 100 : undefined}
        aria-label={isQuality ? 'Quality, 1 to 100' : 'kB'}
        aria-invalid={isInvalid || undefined}
        value={isQuality ? quality : kilobytes}
        onChange={(e) => change(isQuality ? { quality: e.target.value } : { kilobytes: e.target.value })}
      />
      {!isQuality && <span>kB</span>}
      <span className="quiet">Vectors stay as they are.</span>
    </>
  );
}

/** Whether files are encoded anew, as what, and at which quality or within how many kB. */
export function EncodingFields({ typed, onChange }: Props) {
  const id = useId();
  const { as, by } = typed;
  const change = (part: Partial<EncodingTyped>) => onChange({ ...typed, ...part });
  const isInvalid = encodingOf(typed) === null;
  return (
    <p className="ship-encoding">
      <label htmlFor={id}>Written</label>
      <select
        id={id}
        className="form-select form-select-sm"
        value={as}
        onChange={(e) => change({ as: e.target.value as EncodingTyped['as'] })}
      >
        <option value="">as they are</option>
        {ENCODED_AS.map((one) => (
          <option key={one} value={one}>
            as {ENCODED_WORDS[one]}
          </option>
        ))}
      </select>
      {as !== '' && <KeepFields {...{ typed, isInvalid, change }} />}
      {isInvalid && (
        <span className="problem" role="alert">
          {by === 'quality' ? 'A whole number from 1 to 100.' : 'A number of kB above 0.'}
        </span>
      )}
    </p>
  );
}
