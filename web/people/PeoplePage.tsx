import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import styled from 'styled-components';
import { answer, api, type Schemas } from '../api/client';
import { peopleQuery } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { Actions, MainButton, PlainButton, QuietActions, QuietButton } from '../kit/Button';
import { Dialog } from '../kit/Dialog';
import { Choice, Field } from '../kit/Field';
import { Reading } from '../kit/Reading';
import { Refusal } from '../kit/Refusal';
import { Lead, Line, Margin, Page, Ruled, Sheet, Soft, Title } from '../kit/Sheet';
import { useTell } from '../kit/Undo';
import { ROLE_WORDS } from '../kit/words';
import { SeveritySheet } from './SeveritySheet';
import { YardSheet } from './YardSheet';

const Name = styled.strong`
  font-size: 18px;
  &[data-active='false'] { text-decoration: line-through; color: var(--soft); }
`;
const Ticks = styled.div`
  display: flex; flex-direction: column;
  label { display: flex; gap: 12px; align-items: center; min-height: 40px; }
  input { width: 22px; height: 22px; accent-color: var(--hedge); }
`;

/** The yard's accounts, for its keepers. */
export default function PeoplePage() {
  const people = useQuery(peopleQuery);
  const [open, setOpen] = useState<Schemas['Person'] | 'new' | null>(null);
  if (!people.data) return <Reading title="People and the yard" error={people.error} />;
  return (
    <Page>
      <title>People and the yard</title>
      <Lead>
        <Title>People and the yard</Title>
        <QuietActions>
          <QuietButton onPress={() => setOpen('new')}>Add a person</QuietButton>
        </QuietActions>
      </Lead>
      <YardSheet />
      <Sheet aria-label="Accounts">
        {people.data.data.map((person) => (
          <Ruled key={person.id}>
            <Line>
              <Name data-active={person.active}>{person.name}</Name> <Soft>signs in as {person.sign_in_name}</Soft>
            </Line>
            <Margin>
              <p>
                {person.active
                  ? `${ROLE_WORDS[person.role].name}: ${ROLE_WORDS[person.role].may}.`
                  : 'May not sign in.'}
                {person.role === 'operator' &&
                  !person.may_use_all_machines &&
                  ` That is ${person.machine_ids.length} machines.`}
              </p>
              <QuietActions>
                <QuietButton aria-label={`Change ${person.name}`} onPress={() => setOpen(person)}>
                  Change
                </QuietButton>
              </QuietActions>
            </Margin>
          </Ruled>
        ))}
      </Sheet>
      <SeveritySheet />
      {open && <PersonDialog person={open === 'new' ? null : open} onClose={() => setOpen(null)} />}
    </Page>
  );
}

function PersonDialog({ person, onClose }: { person: Schemas['Person'] | null; onClose: () => void }) {
  const queries = useQueryClient();
  const tell = useTell();
  const machines = useQuery({
    queryKey: ['machines', 'all'],
    queryFn: () => answer(api.GET('/machines', { params: { query: { limit: 200 } } })),
  });
  const [draft, setDraft] = useState({
    name: person?.name ?? '',
    sign_in_name: person?.sign_in_name ?? '',
    password: '',
    role: person?.role ?? ('operator' as Schemas['Role']),
    may_use_all_machines: person?.may_use_all_machines ?? true,
    machine_ids: person?.machine_ids ?? [],
    active: person?.active ?? true,
  });
  const change = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part });
  const save = useWrite(
    (header, given: typeof draft) => {
      const { password, ...rest } = given;
      return person
        ? answer(
            api.PATCH('/people/{person}', {
              params: { path: { person: person.id }, header: { 'If-Match': `"${person.version}"` } },
              body: { ...rest, ...(password && { password }) },
            }),
          )
        : answer(api.POST('/people', { params: { header }, body: given }));
    },
    async (saved) => {
      onClose();
      const undo = person ? pickAccount(person) : { active: false };
      tell(`${saved.name} ${person ? 'changed' : 'added'}.`, async () => {
        await answer(
          api.PATCH('/people/{person}', {
            params: { path: { person: saved.id }, header: { 'If-Match': `"${saved.version}"` } },
            body: undo,
          }),
        );
        await queries.invalidateQueries({ queryKey: peopleQuery.queryKey });
      });
      await queries.invalidateQueries({ queryKey: peopleQuery.queryKey });
    },
  );
  const { fields } = save;
  const toggle = (id: number) =>
    change({
      machine_ids: draft.machine_ids.includes(id)
        ? draft.machine_ids.filter((one) => one !== id)
        : [...draft.machine_ids, id],
    });
  return (
    <Dialog title={person ? `Change ${person.name}` : 'Add a person'} isOpen onClose={onClose}>
      <Field label="Name" value={draft.name} onChange={(name) => change({ name })} error={fields.name} autoFocus />
      <Field
        label="Sign-in name"
        autoComplete="off"
        value={draft.sign_in_name}
        onChange={(sign_in_name) => change({ sign_in_name })}
        error={fields.sign_in_name}
      />
      <Field
        label={person ? 'New password, if it is to change' : 'Password, at least 10 characters'}
        type="password"
        autoComplete="new-password"
        value={draft.password}
        onChange={(password) => change({ password })}
        error={fields.password}
      />
      <Choice
        label="Role"
        value={draft.role}
        onChange={(role) => change({ role })}
        options={Object.entries(ROLE_WORDS).map(([value, { name, may }]) => ({
          value: value as Schemas['Role'],
          label: `${name}: ${may}`,
        }))}
        error={fields.role}
      />
      {draft.role === 'operator' && (
        <Ticks>
          <label>
            <input
              type="checkbox"
              checked={draft.may_use_all_machines}
              onChange={(event) => change({ may_use_all_machines: event.target.checked })}
            />
            May use every machine
          </label>
          {!draft.may_use_all_machines &&
            machines.data?.data.map((machine) => (
              <label key={machine.id}>
                <input
                  type="checkbox"
                  checked={draft.machine_ids.includes(machine.id)}
                  onChange={() => toggle(machine.id)}
                />
                {machine.name}
              </label>
            ))}
        </Ticks>
      )}
      {person && (
        <Ticks>
          <label>
            <input
              type="checkbox"
              checked={draft.active}
              onChange={(event) => change({ active: event.target.checked })}
            />
            May sign in
          </label>
        </Ticks>
      )}
      <Refusal refused={save.refused} besides={['name', 'sign_in_name', 'password', 'role']} />
      <Actions>
        <MainButton isDisabled={save.busy} onPress={() => save.send(draft)}>
          {person ? 'Change the account' : 'Add the person'}
        </MainButton>
        <PlainButton onPress={onClose}>Leave it</PlainButton>
      </Actions>
    </Dialog>
  );
}

function pickAccount({
  name,
  sign_in_name,
  role,
  may_use_all_machines,
  machine_ids,
  active,
}: Schemas['Person']): Schemas['PersonChange'] {
  return { name, sign_in_name, role, may_use_all_machines, machine_ids, active };
}
