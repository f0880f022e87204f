import { useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import styled from 'styled-components';
import { answer, api, problemOf, type Schemas } from '../api/client';
import { allMachinesQuery, sharedRulebooksQuery } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { MainButton, PlainButton, QuietButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Field } from '../kit/Field';
import { within } from '../kit/format';
import { Line, Margin, Ruled, Sheet, SheetHeading, Soft } from '../kit/Sheet';
import { PHONE } from '../kit/theme';
import { YARD } from '../notes/touched';
import { useAfterWrite } from '../notes/useAfterWrite';
import { Refusal } from '../trade/Refusal';

const Row = styled.div`
  display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 14px; align-items: end; max-width: 560px;
  ${PHONE} { grid-template-columns: minmax(0, 1fr); }
`;

const Lacking = styled.div`
  display: flex; flex-wrap: wrap; gap: 10px 20px; align-items: center; padding: 12px 20px;
  border-top: 2px solid var(--straw);
`;

type Step = ({ copy: number } | { share: string } | { follow: number } | { leave: true }) & { addSpots?: boolean };

/** One rulebook for sister machines: copied once, or shared for good with each machine's exceptions. */
export function SharedRulebooks({ sheet }: { sheet: Schemas['MachinePage'] }) {
  const { toldWith, refresh } = useAfterWrite(YARD);
  const machines = useQuery(allMachinesQuery({ class: sheet.class }));
  const shared = useQuery(sharedRulebooksQuery);
  const [from, setFrom] = useState('');
  const [name, setName] = useState(sheet.class_label);
  const [follow, setFollow] = useState('');
  const sisters = (machines.data ?? []).filter(({ id }) => id !== sheet.id);
  const others = (shared.data?.rulebooks ?? []).filter(
    (rulebook) => rulebook.class === sheet.class && rulebook.id !== sheet.shared_rulebook?.id,
  );
  const last = useRef<Step | null>(null);
  const change = useWrite(
    (header, step: Step) => {
      last.current = step;
      const add_spots = step.addSpots ?? false;
      const params = { path: { machine: sheet.id }, header };
      if ('copy' in step)
        return answer(api.POST('/machines/{machine}/rulebook-copy', { params, body: { from: step.copy, add_spots } }));
      if ('share' in step)
        return answer(api.POST('/machines/{machine}/shared-rulebook', { params, body: { name: step.share } }));
      if ('follow' in step)
        return answer(
          api.PUT('/machines/{machine}/shared-rulebook', { params, body: { rulebook: step.follow, add_spots } }),
        );
      return answer(api.DELETE('/machines/{machine}/shared-rulebook', { params }));
    },
    () => refresh(),
  );
  const leave = async () => {
    const before = sheet.shared_rulebook?.id;
    await change.send({ leave: true });
    if (before)
      await toldWith(`${sheet.name} no longer follows it.`, () =>
        answer(
          api.PUT('/machines/{machine}/shared-rulebook', {
            params: { path: { machine: sheet.id }, header: {} },
            body: { rulebook: before },
          }),
        ),
      );
  };
  const lacking = change.refused ? (problemOf(change.refused).lacking ?? []) : [];
  return (
    <Sheet aria-labelledby="sisters">
      <SheetHeading id="sisters">Sister machines</SheetHeading>
      {sheet.shared_rulebook ? (
        <Ruled>
          <Line>
            <p>
              Follows <strong>{sheet.shared_rulebook.name}</strong>, shared by{' '}
              {sheet.shared_rulebook.machines.map((one) => one.name).join(', ')}.
            </p>
            {sheet.left_out.length > 0 && <Soft>Left out here: {sheet.left_out.join(', ')}.</Soft>}
          </Line>
          <Margin>
            <Soft>What reads otherwise here is marked as an exception. A change for all is made at the rule.</Soft>
            <QuietButton onPress={leave}>Follow it no longer</QuietButton>
          </Margin>
        </Ruled>
      ) : (
        <>
          {others.length > 0 && (
            <Ruled>
              <Line>
                <Row>
                  <Choice
                    label="Follow a shared rulebook"
                    value={follow}
                    onChange={setFollow}
                    options={[
                      { value: '', label: 'none' },
                      ...others.map((one) => ({
                        value: String(one.id),
                        label: `${one.name}, ${one.machines.map((machine) => machine.name).join(', ')}`,
                      })),
                    ]}
                  />
                  <PlainButton
                    isDisabled={!follow || change.busy}
                    onPress={() => change.send({ follow: Number(follow) })}
                  >
                    Follow it
                  </PlainButton>
                </Row>
              </Line>
              <Margin>
                <Soft>
                  Its rules are written over those of the same task here; what else is here stays as this machine's own.
                </Soft>
              </Margin>
            </Ruled>
          )}
          <Ruled>
            <Line>
              <Row>
                <Field label="Share this rulebook as" value={name} onChange={setName} error={change.fields.name} />
                <MainButton isDisabled={change.busy} onPress={() => change.send({ share: name })}>
                  Share it
                </MainButton>
              </Row>
            </Line>
            <Margin>
              <Soft>
                Other machines of the class can then follow it; a change for all reaches each of them but its
                exceptions.
              </Soft>
            </Margin>
          </Ruled>
        </>
      )}
      {sisters.length > 0 && !sheet.shared_rulebook && (
        <Ruled>
          <Line>
            <Row>
              <Choice
                label="Copy the rulebook of"
                value={from}
                onChange={setFrom}
                options={[
                  { value: '', label: 'choose a machine' },
                  ...sisters.map((one) => ({ value: String(one.id), label: one.name })),
                ]}
              />
              <PlainButton isDisabled={!from || change.busy} onPress={() => change.send({ copy: Number(from) })}>
                Copy it here
              </PlainButton>
            </Row>
          </Line>
          <Margin>
            <Soft>Once, as it stands now. The history of this machine stays.</Soft>
          </Margin>
        </Ruled>
      )}
      {lacking.length > 0 ? (
        <Lacking role="alert">
          <p>
            {sheet.name} has no {lacking.map(({ name: spot }) => within(spot)).join(', no ')} yet.
          </p>
          <PlainButton
            isDisabled={change.busy}
            onPress={() => last.current && change.send({ ...last.current, addSpots: true })}
          >
            Add {lacking.length === 1 ? 'it' : 'them'}, and go on
          </PlainButton>
        </Lacking>
      ) : (
        <Refusal refused={change.refused} besides={['name']} />
      )}
    </Sheet>
  );
}
