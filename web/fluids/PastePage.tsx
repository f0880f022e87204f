import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { answer, api, type Schemas } from '../api/client';
import { useWrite } from '../api/useWrite';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Field, Fields, WrongText } from '../kit/Field';
import { FormSheet } from '../kit/FormSheet';
import { Soft } from '../kit/Sheet';
import { Tick } from '../kit/Tick';
import { sheetOf } from '../notes/touched';
import { useAfterWrite } from '../notes/useAfterWrite';
import { useDraft } from '../offline/drafts';
import { Reading, useKnownName } from '../trade/Reading';
import { Refusal } from '../trade/Refusal';
import { useMachine } from '../trade/useMachine';
import { compartmentsQuery } from './queries';
import { CAPACITY_KINDS } from './words';

const Pasted = styled.div`textarea { min-height: 150px; font-family: ui-monospace, monospace; font-size: 14px; white-space: pre; }`;
const Rows = styled.ul`
  li { padding: 12px 0; border-top: 1px solid var(--rule); display: flex; flex-direction: column; gap: 8px; }
`;

type Amount = { kind: Schemas['CapacityKind']; amount: string };
type Row = {
  line: number;
  words: string;
  compartment: string;
  mayBe: string[];
  amounts: Amount[];
  specification: Schemas['Specification'];
  takes: string;
  doubts: string[];
  kept: boolean;
};

/** A manual's page of capacities, pasted: understood before it is saved, doubtful rows asked about. */
export default function PastePage() {
  const machine = useMachine();
  const known = useKnownName();
  if (!machine.data) return <Reading title={known} error={machine.error} />;
  return <Paste machine={machine.data.id} name={machine.data.name} />;
}

function Paste({ machine, name }: { machine: number; name: string }) {
  const navigate = useNavigate();
  const { told } = useAfterWrite(sheetOf(machine));
  const compartments = useQuery(compartmentsQuery(machine)).data?.compartments ?? [];
  const [text, setText, clear] = useDraft(`capacities.${machine}`, '');
  const [rows, setRows] = useState<Row[] | null>(null);
  const [remark, setRemark] = useState('');
  const back = () => navigate(`/machines/${machine}/fluids`);
  const read = useWrite(
    () => answer(api.POST('/machines/{machine}/capacities', { params: { path: { machine } }, body: { text } })),
    (understood) => {
      setRemark(understood.remark);
      setRows(
        understood.rows.map((row) => ({
          line: row.line,
          words: row.words,
          compartment: row.compartment ?? '',
          mayBe: row.may_be,
          amounts: row.capacities,
          specification: row.specification,
          takes: row.takes,
          doubts: row.doubts,
          kept: row.may_be.length > 0,
        })),
      );
    },
  );
  const kept = useMemo(() => (rows ?? []).filter((row) => row.kept), [rows]);
  const write = useWrite(
    (header) =>
      answer(
        api.PUT('/machines/{machine}/capacities', {
          params: { path: { machine }, header },
          body: {
            rows: kept.map(({ compartment, amounts, specification, takes }) => ({
              compartment,
              capacities: amounts.filter(({ amount }) => amount.trim() !== ''),
              specification: takes === '' ? null : specification,
            })),
          },
        }),
      ),
    async ({ written }) => {
      clear();
      await told(`${name}: ${written} compartments are written down.`);
      back();
    },
  );
  const change = (line: number, part: Partial<Row>) =>
    setRows((before) => (before ?? []).map((row) => (row.line === line ? { ...row, ...part } : row)));
  return (
    <FormSheet
      title={`${name}: a manual's page of capacities`}
      lead="Nothing is saved before you have seen what is understood."
    >
      <Pasted>
        <Field
          label="From a spreadsheet, or CSV: the headings too"
          lines
          value={text}
          onChange={(pasted) => {
            setText(pasted);
            setRows(null);
          }}
          error={read.fields.text}
          help="A row for each compartment; columns like Capacity, qt, L, with filter, Oil."
        />
      </Pasted>
      {remark && <Soft>{remark}</Soft>}
      {rows && (
        <Rows aria-label="Understood">
          {rows.map((row) => {
            const at = kept.indexOf(row);
            const wrong = (field: string) => (at === -1 ? undefined : write.fields[`rows.${at}.${field}`]);
            return (
              <li key={row.line}>
                <Tick checked={row.kept} onChange={(is) => change(row.line, { kept: is })}>
                  <strong>{row.words || `Line ${row.line}`}</strong>
                </Tick>
                {row.doubts.map((doubt) => (
                  <WrongText key={doubt}>{doubt}</WrongText>
                ))}
                {row.kept && (
                  <Fields $columns={2}>
                    <Choice
                      label={`Compartment of ${row.words}`}
                      value={row.compartment}
                      onChange={(compartment) => change(row.line, { compartment })}
                      options={[
                        { value: '', label: 'which is it?' },
                        ...compartments.map(({ key, name: called }) => ({ value: key, label: called })),
                      ]}
                      error={wrong('compartment')}
                    />
                    <div>
                      <Soft>Of what</Soft>
                      <p>{row.takes || 'not said here'}</p>
                    </div>
                    {row.amounts.map((one, index) => (
                      <Fields key={one.kind} $columns={2}>
                        <Field
                          label={`Amount of ${row.words}`}
                          value={one.amount}
                          onChange={(amount) =>
                            change(row.line, {
                              amounts: row.amounts.map((other, nth) => (nth === index ? { ...other, amount } : other)),
                            })
                          }
                          error={wrong(`capacities.${index}.amount`)}
                        />
                        <Choice
                          label="when"
                          value={one.kind}
                          onChange={(kind) =>
                            change(row.line, {
                              amounts: row.amounts.map((other, nth) => (nth === index ? { ...other, kind } : other)),
                            })
                          }
                          options={CAPACITY_KINDS}
                          error={wrong(`capacities.${index}.kind`)}
                        />
                      </Fields>
                    ))}
                  </Fields>
                )}
              </li>
            );
          })}
        </Rows>
      )}
      <Refusal refused={read.refused ?? write.refused} besides={['text', ...Object.keys(write.fields)]} />
      <Actions>
        {rows === null ? (
          <MainButton isDisabled={read.busy} onPress={() => read.send()}>
            Read it
          </MainButton>
        ) : (
          <MainButton isDisabled={write.busy || kept.length === 0} onPress={() => write.send()}>
            Write {kept.length} down
          </MainButton>
        )}
        <PlainButton
          onPress={() => {
            clear();
            back();
          }}
        >
          Leave it
        </PlainButton>
      </Actions>
    </FormSheet>
  );
}
