import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link, Navigate, useParams, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { usePerson } from '../api/usePerson';
import { QuietActions, QuietButton, quietLink } from '../kit/Button';
import { WrongText } from '../kit/Field';
import { Lead, Page, Sheet, Soft, Title } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { useDraft } from '../offline/drafts';
import { Reading } from '../trade/Reading';
import { type Calculator, type FieldOf, startOf, type Values } from './calculator';
import { calculatorsQuery } from './catalogue';
import { BeltSpan } from './drawings/BeltSpan';
import { MixColumn } from './drawings/MixColumn';
import { StickColumn } from './drawings/StickColumn';
import { WrenchAndAdapter } from './drawings/WrenchAndAdapter';
import { FieldsOf } from './FieldsOf';
import { IntoBook } from './IntoBook';
import { useReckon } from './useReckon';
import { fromAddress, given, toAddress } from './values';

const Split = styled.div`
  display: grid; grid-template-columns: minmax(0, 1fr) 430px; align-items: start;
  ${PHONE} { grid-template-columns: minmax(0, 1fr); }
  @media (max-width: 1080px) { grid-template-columns: minmax(0, 1fr) 320px; ${PHONE} { grid-template-columns: minmax(0, 1fr); } }
`;
const Typed = styled.div`padding: 18px 20px 22px; ${PHONE} { padding: 14px; }`;
const Answer = styled.div`
  padding: 18px 22px 20px; border-left: 1px solid color-mix(in srgb, var(--clay) 35%, transparent); min-height: 100%;
  position: sticky; top: 0; display: flex; flex-direction: column; gap: 10px;
  ${PHONE} { border-left: 0; border-top: 2px solid var(--ink); padding: 14px; position: static; }
`;
/** On a phone the answer stays in sight while the fields are typed in. */
const Strip = styled.p`
  display: none;
  ${PHONE} { display: block; position: sticky; bottom: 53px; z-index: 5; margin: 14px -14px -14px; padding: 12px 14px; background: var(--paper); border-top: 2px solid var(--ink); font-weight: 650; font-size: 19px; }
`;
const Large = styled.p`font-size: 25px; font-weight: 650; line-height: 1.22; overflow-wrap: anywhere;`;
const Told = styled.dl`
  display: grid; grid-template-columns: minmax(0, 2fr) minmax(0, 3fr); border-top: 1px solid var(--rule); font-size: 16px;
  dt, dd { padding: 6px 8px 6px 0; border-bottom: 1px solid var(--rule); line-height: 1.3; overflow-wrap: anywhere; } dt { color: var(--soft); }
`;
const ActionLink = styled(Link)`${quietLink}`;

const DRAWINGS = { belt: BeltSpan, wrench: WrenchAndAdapter, mix: MixColumn, stick: StickColumn };

/** One calculator: what is typed, and beside it the answer, its reason and its source. The address carries the numbers. */
export default function CalculatorPage() {
  const { name = '' } = useParams();
  const all = useQuery(calculatorsQuery);
  if (!all.data) return <Reading error={all.error} />;
  const calculator = all.data.groups.flatMap(({ calculators }) => calculators).find((one) => one.name === name);
  return calculator ? <Reckoning key={name} calculator={calculator} /> : <Navigate to="/reckoner" replace />;
}

function Reckoning({ calculator }: { calculator: Calculator }) {
  const { name, title, lead, fields, drawing, into } = calculator;
  const start = useMemo(() => startOf(fields), [fields]);
  const Drawing = drawing && DRAWINGS[drawing];
  const [search, setSearch] = useSearchParams();
  const role = usePerson().role;
  const [kept, keep] = useDraft<Values>(`reckoner.${name}`, start);
  const linked = useRef(search.size > 0 ? fromAddress(search, fields) : null);
  const [values, setValues] = useState<Values>(linked.current ?? kept);
  const [copied, setCopied] = useState(false);
  const sent = useMemo(() => given(values, fields), [values, fields]);
  const untouched = useMemo(() => JSON.stringify(given(start, fields)), [start, fields]);
  const reckoned = useReckon(name, JSON.stringify(sent) === untouched ? null : sent);
  const change = (changed: Values) => {
    setValues(changed);
    keep(changed);
    setCopied(false);
  };
  useEffect(() => {
    const isUntouched = JSON.stringify(given(values, fields)) === untouched;
    const address = isUntouched ? new URLSearchParams() : toAddress(values);
    setSearch(address, { replace: true, preventScrollReset: true });
  }, [values, fields, untouched, setSearch]);
  const { answer, told } = reckoned;
  const places = pathsOf(fields, values);
  const elsewhere = Object.entries(reckoned.fields).filter(([field]) => !places.has(field));
  return (
    <Page>
      <title>{title}</title>
      <Lead>
        <div>
          <Title>{title}</Title>
          {lead && <Soft>{lead}</Soft>}
        </div>
        <QuietActions>
          <ActionLink to="/reckoner">All calculators</ActionLink>
          <QuietButton onPress={() => change(start)}>Begin anew</QuietButton>
          <QuietButton
            onPress={async () => {
              await navigator.clipboard?.writeText(location.href);
              setCopied(true);
            }}
          >
            {copied ? 'Copied' : 'Copy the link'}
          </QuietButton>
        </QuietActions>
      </Lead>
      <Sheet aria-label={title}>
        <Split>
          <Typed>
            <FieldsOf fields={fields} values={values} onChange={change} wrong={reckoned.fields} />
            {told && <Strip aria-hidden="true">{told.large}</Strip>}
          </Typed>
          <Answer>
            <div aria-live="polite">
              {told && answer ? (
                <>
                  <Large>{told.large}</Large>
                  <p>{answer.why}</p>
                </>
              ) : (
                <Soft>{reckoned.missing[0] ?? 'The answer comes as you type.'}</Soft>
              )}
              {elsewhere.map(([field, message]) => (
                <WrongText key={field}>{message}</WrongText>
              ))}
            </div>
            {Drawing && <Drawing values={values} drawn={told?.drawn} />}
            {told && told.rows.length > 0 && (
              <Told>
                {told.rows.map(({ label, says }, index) => (
                  // biome-ignore lint/suspicious/noArrayIndexKey: rows of an answer have no names of their own
                  <Pair key={index} label={label} value={says} />
                ))}
              </Told>
            )}
            {answer && <Soft>Source: {answer.sources.join(', ')}</Soft>}
            {into && answer && role !== 'reader' && <IntoBook into={into} answer={answer} values={values} />}
          </Answer>
        </Split>
      </Sheet>
    </Page>
  );
}

function Pair({ label, value }: { label: string; value: string }) {
  return (
    <>
      <dt>{label}</dt>
      <dd>{value}</dd>
    </>
  );
}

/** Where a fault has a field of its own to stand beside. */
function pathsOf(fields: readonly FieldOf[], values: Values, path = ''): Set<string> {
  const paths = new Set<string>();
  for (const field of fields) {
    const at = `${path}${field.name}`;
    const value = values[field.name];
    if (field.kind === 'set')
      for (const one of pathsOf(field.fields ?? [], (value as Values) ?? {}, `${at}.`)) paths.add(one);
    else if (field.kind === 'rows')
      (Array.isArray(value) ? value : []).forEach((row, index) => {
        for (const one of pathsOf(field.fields ?? [], row as Values, `${at}.${index}.`)) paths.add(one);
      });
    else paths.add(at);
  }
  return paths;
}
