'use client';
import { Form } from 'react-bootstrap';
import type { ImportWays } from '@/core/screens/import';
import { FIELD_WORDS, FIELDS, type Field } from '@/core/screens/table';
import { countOf } from '@/core/words/words';
import type { ReadTable } from '@/formats/screens/read';
import { Choices } from '../parts/Choices';

interface Props {
  read: ReadTable;
  ways: ImportWays;
  onWays: (ways: ImportWays) => void;
  onHeader: (header: boolean) => void;
}

const UNITS = [
  { value: 'lu', label: 'lu' },
  { value: 'px', label: 'device px' },
] as const;

/** How sizes and numbers are read, and whether the first line holds any. */
function ReadingWays({ read: { delimiter, hasHeader }, ways, onWays, onHeader }: Props) {
  return (
    <div className="sets-tools">
      <Choices
        label="Sizes in"
        options={UNITS}
        value={ways.unit}
        onChoose={(unit) => onWays({ ...ways, unit })}
      />
      <Form.Check
        type="checkbox"
        id="import-comma"
        label="decimals after a comma"
        checked={ways.decimalComma}
        onChange={(e) => onWays({ ...ways, decimalComma: e.target.checked })}
      />
      {delimiter && (
        <Form.Check
          type="checkbox"
          id="import-header"
          label="the first line names the columns"
          checked={hasHeader}
          onChange={(e) => onHeader(e.target.checked)}
        />
      )}
    </div>
  );
}

interface HeadProps {
  column: string;
  value: Field | '';
  onChoose: (field: Field | '') => void;
}

/** The name of a column in the file, and what it is taken for. */
function ColumnHead({ column, value, onChoose }: HeadProps) {
  return (
    <th scope="col">
      {column}
      <Form.Select
        size="sm"
        aria-label={`${column} is`}
        value={value}
        onChange={(e) => onChoose(e.target.value as Field | '')}
      >
        <option value="">not read</option>
        {FIELDS.map((f) => (
          <option key={f} value={f}>
            {FIELD_WORDS[f]}
          </option>
        ))}
      </Form.Select>
    </th>
  );
}

/** How the file was understood, and what each column is taken for. */
export function ImportColumns(props: Props) {
  const { read, ways, onWays } = props;
  const { table, delimiter, encoding } = read;
  const samples = table.rows.slice(0, 3);
  const fieldOf = (at: number) => FIELDS.find((f) => ways.mapping[f] === at) ?? '';
  const take = (at: number, field: Field | '') => {
    const mapping = { ...ways.mapping };
    for (const f of FIELDS) if (mapping[f] === at) mapping[f] = null;
    if (field) mapping[field] = at;
    onWays({ ...ways, mapping });
  };
  return (
    <section aria-label="Columns of the file">
      <p className="quiet">
        {countOf(table.rows.length, 'line')}, {delimiter ? `${delimiter} between columns` : 'JSON'},{' '}
        {encoding}
      </p>
      <ReadingWays {...props} />
      <div className="import-columns" role="region" aria-label="What each column is" tabIndex={0}>
        <table>
          <thead>
            <tr>
              {table.columns.map((column, i) => (
                <ColumnHead key={i} column={column} value={fieldOf(i)} onChoose={(field) => take(i, field)} />
              ))}
            </tr>
          </thead>
          <tbody>
            {samples.map(({ line, cells }) => (
              <tr key={line}>
                {table.columns.map((_, i) => (
                  <td key={i} className="figures">
                    {cells[i]}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}
