import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import styled from 'styled-components';
import { answer, api, type Schemas } from '../api/client';
import { shelfQuery } from '../api/queries';
import { usePerson } from '../api/usePerson';
import { useWrite } from '../api/useWrite';
import { Actions, MainButton, PlainButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Dialog } from '../kit/Dialog';
import { Field } from '../kit/Field';
import { useSettled } from '../kit/useSettled';
import { Refusal } from '../trade/Refusal';
import { BottleFields, EMPTY_LABEL, type LabelDraft, labelOf } from './BottleFields';

type Props = { machine: number; spot: string; name: string; onClose: () => void };

const ANSWERS = { yes: 'It will do', no: 'It will not do', ask: 'It depends' } as const;

const Answer = styled.div<{ $no: boolean }>`
  border-left: 5px solid ${({ $no }) => ($no ? 'var(--clay)' : 'var(--hedge)')}; padding: 4px 0 4px 14px;
  strong { font-size: 19px; } li { line-height: 1.35; padding-top: 3px; }
`;

/** Any bottle held against a compartment and the season ahead. */
export function WillItDo({ machine, spot, name, onClose }: Props) {
  const person = usePerson();
  const queries = useQueryClient();
  const fluids = useQuery(shelfQuery).data?.supplies.filter(({ kind }) => kind === 'fluid') ?? [];
  const [kept, setKept] = useState('');
  const [label, setLabel] = useState<LabelDraft>(EMPTY_LABEL);
  const [called, setCalled] = useState('');
  const known = fluids.find(({ id }) => String(id) === kept);
  const bottle = known?.label ?? labelOf(label);
  const settled = useSettled(JSON.stringify(bottle), 250);
  const judged = useQuery({
    queryKey: ['machine', machine, 'will-it-do', spot, settled],
    queryFn: () =>
      answer(
        api.POST('/machines/{machine}/compartments/{spot}/will-it-do', {
          params: { path: { machine, spot } },
          body: { fluid: JSON.parse(settled) as Schemas['Label'] },
        }),
      ),
    retry: false,
  });
  const keep = useWrite(
    (header) => answer(api.POST('/supplies', { params: { header }, body: { name: called, label: bottle } })),
    async (supply) => {
      await queries.invalidateQueries({ queryKey: shelfQuery.queryKey });
      setKept(String(supply.id));
      setCalled('');
    },
  );
  const fields = {
    ...(judged.error && 'fields' in judged.error ? (judged.error.fields as Record<string, string>) : {}),
  };
  const mayKeep = person.role === 'keeper' || person.role === 'mechanic';
  return (
    <Dialog title={`Will it do for the ${name.toLowerCase()}?`} isOpen onClose={onClose}>
      <Choice
        label="Bottle"
        value={kept}
        onChange={setKept}
        options={[
          { value: '', label: 'another, by its label' },
          ...fluids.map((fluid) => ({ value: String(fluid.id), label: `${fluid.name} (${fluid.in_words})` })),
        ]}
      />
      {!known && (
        <BottleFields
          draft={label}
          onChange={(part) => setLabel((before) => ({ ...before, ...part }))}
          fields={fields}
          path="fluid."
        />
      )}
      {judged.data && (
        <Answer $no={judged.data.will_it === 'no'} role="status">
          <strong>{ANSWERS[judged.data.will_it]}</strong>
          <ul>
            {judged.data.reasons.map((reason) => (
              <li key={reason}>{reason}</li>
            ))}
          </ul>
        </Answer>
      )}
      {!known && mayKeep && (
        <Field
          label="Keep this bottle in mind as"
          value={called}
          onChange={setCalled}
          error={keep.fields.name ?? keep.fields['label.chemistry']}
          help="Then a top-up can name it."
        />
      )}
      <Refusal refused={keep.refused} besides={['name', 'label.chemistry']} />
      <Actions>
        {!known && mayKeep && called.trim() !== '' && (
          <MainButton isDisabled={keep.busy} onPress={() => keep.send()}>
            Keep {called.trim()}
          </MainButton>
        )}
        <PlainButton onPress={onClose}>Done</PlainButton>
      </Actions>
    </Dialog>
  );
}
