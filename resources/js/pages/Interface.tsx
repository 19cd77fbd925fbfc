import { Head } from '@inertiajs/react';
import { useEffect, useState } from 'react';

import { say } from '../lib/keepSay';
import { callsOf, commandOf, partsOf, shapeOf, typeOf, type Call, type Reference, type ReferenceSchema } from '../lib/reference';
import { to } from '../lib/route';
import { Mark } from '../ui/Arch';
import css from '../ui/reference.module.css';
import ui from '../ui/ui.module.css';

const WORDS = { list: (of: string) => say('setoff.reference.list_of', { of }), or: say('setoff.reference.or') };

/** What describes the interface for systems of others, to be read: made of the same document that programs read. */
export default function Interface() {
  const [reference, setReference] = useState<Reference | null>(null);
  const [failed, setFailed] = useState(false);
  useEffect(() => {
    fetch(to('interface.document'))
      .then(async (answer) => (answer.ok ? setReference((await answer.json()) as Reference) : setFailed(true)))
      .catch(() => setFailed(true));
  }, []);
  // What an address names is there only once it is read.
  useEffect(() => {
    const named = window.location.hash.slice(1);
    if (reference !== null && named !== '') {
      document.getElementById(named)?.scrollIntoView();
    }
  }, [reference]);
  return (
    <div className={ui.keep}>
      <Head title={say('setoff.reference.title')} />
      <header className={ui.top}>
        <a href={to('home')} className={ui.brand}>
          <Mark /> {say('keep.product')}
        </a>
      </header>
      {reference === null ? (
        <main className={css.page}>
          <h1>{say('setoff.reference.title')}</h1>
          <p role="status">{say(failed ? 'setoff.reference.failed' : 'setoff.reference.loading')}</p>
        </main>
      ) : (
        <Read reference={reference} />
      )}
    </div>
  );
}

function Read({ reference }: { reference: Reference }) {
  return (
    <div className={css.split}>
      <nav aria-label={say('setoff.reference.contents')} className={css.contents}>
        {reference.tags.map(({ name }) => (
          <section key={name}>
            <h2>
              <a href={`#${name}`}>{say('setoff.reference.tags', { tag: name })}</a>
            </h2>
            <ul>
              {callsOf(reference, name).map(({ operationId, summary }) => (
                <li key={operationId}>
                  <a href={`#${operationId}`}>{summary}</a>
                </li>
              ))}
            </ul>
          </section>
        ))}
        <section>
          <h2>
            <a href="#problems">{say('setoff.reference.problems')}</a>
          </h2>
        </section>
        <section>
          <h2>
            <a href="#shapes">{say('setoff.reference.shapes')}</a>
          </h2>
        </section>
      </nav>
      <main className={css.page}>
        <h1>{say('setoff.reference.title')}</h1>
        <p>
          <Told>{reference.info.description}</Told>
        </p>
        <p>
          <a href={to('interface.document')}>{say('setoff.reference.document')}</a> · <a href={to('interface.client', { language: 'php' })}>{say('setoff.reference.client', { language: 'PHP' })}</a> ·{' '}
          <a href={to('interface.client', { language: 'ts' })}>{say('setoff.reference.client', { language: 'TypeScript' })}</a> · <a href={to('interface.plan-schema')}>{say('setoff.reference.plan_schema')}</a>
        </p>
        {reference.tags.map(({ name, description }) => (
          <section key={name} aria-labelledby={name}>
            <h2 id={name}>{say('setoff.reference.tags', { tag: name })}</h2>
            <p>{description}</p>
            {callsOf(reference, name).map((call) => (
              <Operation key={call.operationId} call={call} base={reference.servers[0]?.url ?? ''} />
            ))}
          </section>
        ))}
        <section aria-labelledby="problems">
          <h2 id="problems">{say('setoff.reference.problems')}</h2>
          <p>{say('setoff.reference.problems_told')}</p>
          <table className={css.problems}>
            <tbody>
              {reference['x-problems'].map(({ kind, status, title }) => (
                <tr key={kind} id={kind}>
                  <th scope="row">
                    <code>{kind}</code>
                  </th>
                  <td>{status}</td>
                  <td>{title}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </section>
        <section aria-labelledby="shapes">
          <h2 id="shapes">{say('setoff.reference.shapes')}</h2>
          {Object.entries(reference.components.schemas).map(([name, schema]) => (
            <section key={name} id={`shape-${name}`} className={css.shape}>
              <h3>{name}</h3>
              {schema.description !== undefined && (
                <p>
                  <Told>{schema.description}</Told>
                </p>
              )}
              <Members schema={schema} />
            </section>
          ))}
        </section>
      </main>
    </div>
  );
}

function Operation({ call, base }: { call: Call; base: string }) {
  const ability = call.security.flatMap((one) => one['token'] ?? []).join(', ');
  const bodies = Object.entries(call.requestBody?.content ?? {});
  return (
    <article id={call.operationId} className={css.call}>
      <h3>{call.summary}</h3>
      <p className={css.line}>
        <b>{call.method}</b> <code>{call.path}</code>
        {ability !== '' && <span>{say('setoff.reference.ability', { ability })}</span>}
      </p>
      {call.description !== undefined && (
        <p>
          <Told>{call.description.split('\n\n')[0] ?? ''}</Told>
        </p>
      )}
      {call.parameters.length > 0 && (
        <table className={css.members}>
          <caption>{say('setoff.reference.parameters')}</caption>
          <tbody>
            {call.parameters.map((one) => (
              <tr key={`${one.in} ${one.name}`}>
                <th scope="row">
                  <code>{one.name}</code>
                </th>
                <td>{typeOf(one.schema, WORDS)}</td>
                <td>{say('setoff.reference.stands', { where: one.in, needed: one.required ? 'yes' : 'no' })}</td>
                <td>
                  <Told>{one.description}</Told>
                  <OneOf schema={one.schema} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {bodies.map(([type, content]) => (
        <p key={type}>
          {say('setoff.reference.takes', { type })} <Shape schema={content.schema} />
        </p>
      ))}
      <ul className={css.answers}>
        {Object.entries(call.responses).map(([status, { description, content }]) => (
          <li key={status}>
            <b>{status}</b> {description} {Number(status) < 400 && Object.entries(content ?? {}).map(([type, { schema }]) => <Shape key={type} schema={schema} />)}
          </li>
        ))}
      </ul>
      <details>
        <summary>{say('setoff.reference.example')}</summary>
        <pre>{commandOf(call, `${window.location.origin}${base}`)}</pre>
        <Answered call={call} />
      </details>
    </article>
  );
}

/** What is answered to the example. */
function Answered({ call }: { call: Call }) {
  const [status, answer] = Object.entries(call.responses)[0] ?? ['', undefined];
  const example = Object.values(answer?.content ?? {})[0]?.example;
  return (
    <>
      <p>
        <b>{status}</b>
      </p>
      {example !== undefined && <pre>{typeof example === 'string' ? example : JSON.stringify(example, null, 2)}</pre>}
    </>
  );
}

function Told({ children }: { children: string }) {
  return partsOf(children).map(({ at, text, code }) => (code ? <code key={at}>{text}</code> : text));
}

function Shape({ schema }: { schema: ReferenceSchema }) {
  const name = shapeOf(schema);
  return name === null ? null : <a href={`#shape-${name}`}>{name}</a>;
}

function Members({ schema }: { schema: ReferenceSchema }) {
  const properties = Object.entries(schema.properties ?? {});
  return properties.length === 0 ? null : (
    <table className={css.members}>
      <tbody>
        {properties.map(([name, of]) => (
          <tr key={name}>
            <th scope="row">
              <code>{name}</code>
            </th>
            <td>
              {shapeOf(of) === null ? typeOf(of, WORDS) : <a href={`#shape-${shapeOf(of)}`}>{typeOf(of, WORDS)}</a>}
            </td>
            <td>{schema.required?.includes(name) === true ? '' : say('setoff.reference.may_be_left_out')}</td>
            <td>
              <Told>{of.description ?? ''}</Told>
              <OneOf schema={of} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The closed set that something is one of. */
function OneOf({ schema }: { schema: ReferenceSchema }) {
  const set = schema.enum ?? schema.items?.enum;
  return set === undefined ? null : <span className={css.set}>{set.filter((one) => one !== null).join(' · ')}</span>;
}
