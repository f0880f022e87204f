import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api, type Schemas } from '../api/client';
import { allMachinesQuery } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { FormSheet } from '../kit/FormSheet';
import { Soft } from '../kit/Sheet';
import { Tick } from '../kit/Tick';
import { sheetOf } from '../notes/touched';
import { useAfterWrite } from '../notes/useAfterWrite';
import { Reading, useKnownName } from '../trade/Reading';
import { Refusal } from '../trade/Refusal';
import { useMachine } from '../trade/useMachine';

/** Takes over what is written down of a sister machine; what may be for that one alone is asked about. */
export default function SisterPage() {
  const machine = useMachine();
  const known = useKnownName();
  if (!machine.data) return <Reading title={known} error={machine.error} />;
  const { id, name, class: of } = machine.data;
  return <Sister machine={id} name={name} of={of} />;
}

function Sister({ machine, name, of }: { machine: number; name: string; of: Schemas['MachineClass'] }) {
  const navigate = useNavigate();
  const { told } = useAfterWrite(sheetOf(machine));
  const sisters = (useQuery(allMachinesQuery({ class: of })).data ?? []).filter(({ id }) => id !== machine);
  const [from, setFrom] = useState('');
  const [left, setLeft] = useState<Record<string, boolean>>({});
  const sheets = useQuery({
    queryKey: ['machine', machine, 'sister', from],
    queryFn: () =>
      answer(
        api.GET('/machines/{machine}/sister-sheets', {
          params: { path: { machine }, query: { from: Number(from) } },
        }),
      ),
    enabled: from !== '',
  }).data?.sheets;
  const isTaken = (sheet: { key: string; asks: string }) => left[sheet.key] ?? sheet.asks === '';
  const taken = (sheets ?? []).filter(isTaken).map(({ key }) => key);
  const back = () => navigate(`/machines/${machine}/fluids`);
  const write = useWrite(
    (header) =>
      answer(
        api.POST('/machines/{machine}/sister-sheets', {
          params: { path: { machine }, header },
          body: { from: Number(from), spots: taken },
        }),
      ),
    async ({ written }) => {
      await told(`${name}: ${written} taken over.`);
      back();
    },
  );
  return (
    <FormSheet
      title={`${name}: take over from a sister`}
      lead="Fluids, openings and parts of a machine of the same class."
    >
      <Choice
        label="From"
        value={from}
        onChange={setFrom}
        options={[
          { value: '', label: 'which machine?' },
          ...sisters.map(({ id, name: called }) => ({ value: String(id), label: called })),
        ]}
        error={write.fields.from}
      />
      {sheets?.length === 0 && <Soft>Nothing is written down there that is not here.</Soft>}
      <div>
        {(sheets ?? []).map((sheet) => (
          <div key={sheet.key}>
            <Tick checked={isTaken(sheet)} onChange={(is) => setLeft((before) => ({ ...before, [sheet.key]: is }))}>
              <span>
                {sheet.name} <Soft>{sheet.kind}</Soft>
                {sheet.asks && <Soft> · {sheet.asks}</Soft>}
              </span>
            </Tick>
          </div>
        ))}
      </div>
      <Refusal refused={write.refused} besides={['from']} />
      <Actions>
        <MainButton isDisabled={write.busy || taken.length === 0} onPress={() => write.send()}>
          Take {taken.length} over
        </MainButton>
        <PlainButton onPress={back}>Leave it</PlainButton>
      </Actions>
    </FormSheet>
  );
}
