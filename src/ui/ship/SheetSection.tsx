'use client';
import { sectionMarkdown } from '@/formats/sheet/markdown';
import { figuresOf, sayAt, type Fact, type Row, type Section, type Sheet } from '@/formats/sheet/schema';
import { sayNumber } from '@/core/words/numbers';
import { Changed, CopyBlock, CopyFigure } from './Copy';

/** One length on one screen: lu, and px of the device. */
function At({ at, figure, label }: { at: Row['at'][number]; figure: string; label: string }) {
  if (typeof at === 'string')
    return (
      <td>
        {at === 'not shown' ? (
          <span className="quiet">{at}</span>
        ) : (
          <CopyFigure {...{ figure, label }} text={at} />
        )}
        <Changed figure={figure} now={at} />
      </td>
    );
  return (
    <td>
      <CopyFigure {...{ figure }} label={`${label}, lu`} text={sayNumber(at.lu)}>
        {sayNumber(at.lu)} lu
      </CopyFigure>{' '}
      <CopyFigure {...{ figure }} label={`${label}, px`} text={sayNumber(at.px)}>
        <span className="quiet">{sayNumber(at.px)} px</span>
      </CopyFigure>
      <Changed figure={figure} now={sayAt(at)} />
    </td>
  );
}

function Lengths({ section, columns }: { section: Section; columns: Sheet['columns'] }) {
  if (section.rows.length === 0) return null;
  return (
    <table className="figures sheet-rows">
      <thead>
        <tr>
          <th scope="col">
            <span className="visually-hidden">length</span>
          </th>
          <th scope="col">as ruled</th>
          {columns.map((c) => (
            <th scope="col" key={c.id}>
              {c.label} <span className="sheet-size">{c.screen}</span>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {section.rows.map((row) => (
          <tr key={row.id}>
            <th scope="row">{row.what}</th>
            <td>
              {row.ruled && (
                <CopyFigure
                  figure={`${section.id}/${row.id}/ruled`}
                  label={`${row.what}, as ruled`}
                  text={row.ruled}
                />
              )}
              <Changed figure={`${section.id}/${row.id}/ruled`} now={row.ruled} />
            </td>
            {row.at.map((at, i) => (
              <At
                key={columns[i]!.id}
                at={at}
                figure={`${section.id}/${row.id}/${columns[i]!.id}`}
                label={`${section.name}, ${row.what}, ${columns[i]!.label} screen`}
              />
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function FactLine({ fact, section }: { fact: Fact; section: Section }) {
  const figure = `${section.id}/${fact.id}`;
  return (
    <>
      <dt>{fact.what}</dt>
      <dd>
        {fact.colour && <span className="sheet-swatch" style={{ background: fact.colour }} aria-hidden />}
        {fact.text.split(' · ').map((text) => (
          <CopyFigure key={text} {...{ figure, text }} label={`${section.name}, ${fact.what}`} />
        ))}
        <Changed figure={figure} now={fact.text} />
      </dd>
    </>
  );
}

/** Everything of one layer, of the scene, of a launch or of the named values. */
export function SheetSection({ section, sheet }: { section: Section; sheet: Sheet }) {
  const { columns } = sheet;
  const { id, name, about, sentence, facts, css, notSaid } = section;
  const figures = [...figuresOf(sheet).keys()].filter((key) => key.startsWith(`${id}/`));
  return (
    <section className="sheet-section" aria-label={name}>
      <header>
        <h3>
          {name} <span className="quiet">{about}</span>
        </h3>
        <CopyBlock
          label="copy"
          what={name}
          text={() => sectionMarkdown(section, columns)}
          figures={figures}
        />
      </header>
      {sentence && (
        <p>
          <CopyFigure figure={`${id}/sentence`} label={`${name}, its rule`} text={sentence} />
          <Changed figure={`${id}/sentence`} now={sentence} />
        </p>
      )}
      <Lengths {...{ section, columns }} />
      {facts.length > 0 && (
        <dl className="sheet-facts">
          {facts.map((fact) => (
            <FactLine key={fact.id} {...{ fact, section }} />
          ))}
        </dl>
      )}
      {css && (
        <details className="sheet-css">
          <summary>as CSS</summary>
          <CopyBlock label="copy CSS" what={`CSS of ${name}`} text={() => css} figures={[`${id}/css`]} />
          <pre tabIndex={0} aria-label={`CSS of ${name}`}>
            {css}
          </pre>
        </details>
      )}
      {notSaid && <p className="quiet">CSS cannot say this without a script: {notSaid}.</p>}
    </section>
  );
}
