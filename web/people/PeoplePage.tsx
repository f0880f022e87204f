import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import styled from 'styled-components';
import { answer, api, type Schemas } from '../api/client';
import { allMachinesQuery, peopleQuery } from '../api/queries';
import { useWrite } from '../api/useWrite';
import { Actions, MainButton, PlainButton, QuietActions, QuietButton } from '../kit/Button';
import { Choice } from '../kit/Choice';
import { Dialog } from '../kit/Dialog';
import { Field } from '../kit/Field';
import { Lead, Page, Sheet, Soft, Title } from '../kit/Sheet';
import { Tick, Ticks } from '../kit/Tick';
import { PHONE } from '../kit/theme';
import { useTell } from '../kit/Undo';
import { Reading } from '../trade/Reading';
import { Refusal } from '../trade/Refusal';
import { ROLE_WORDS } from '../trade/words';
import { InvitationDialog } from './InvitationDialog';
import { SeveritySheet } from './SeveritySheet';
import { YardSheet } from './YardSheet';

const Row = styled.div`
  display: grid; grid-template-columns: minmax(0, 2fr) minmax(0, 2fr) minmax(0, 6fr) auto; gap: 2px 20px;
  align-items: baseline; padding: 8px 20px; border-bottom: 1px solid var(--rule); font-size: 16px;
  &:last-child { border-bottom: 0; }
  ${PHONE} { grid-template-columns: minmax(0, 1fr) auto; padding: 10px 14px; > span:nth-child(3) { grid-column: 1; } }
`;
const Name = styled.strong`
  font-size: 17px;
  &[data-active='false'] { text-decoration: line-through; color: var(--soft); }
`;
/** The yard's accounts, for its keepers. */
export default function PeoplePage() {
  const people = useQuery(peopleQuery);
  const [open, setOpen] = useState<Schemas['Person'] | 'new' | null>(null);
  const [invited, setInvited] = useState<{ person: Schemas['Person']; then?: () => void } | null>(null);
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
          <Row key={person.id}>
            <Name data-active={person.active}>{person.name}</Name>
            <Soft>signs in as {person.sign_in_name}</Soft>
            <span>
              {person.active ? (
                <>
                  <strong>{ROLE_WORDS[person.role].name}</strong>: {mayWords(person)}
                </>
              ) : (
                'May not sign in'
              )}
            </span>
            <QuietButton aria-label={`Change ${person.name}`} onPress={() => setOpen(person)}>
              Change
            </QuietButton>
          </Row>
        ))}
      </Sheet>
      <SeveritySheet />
      {open && (
        <PersonDialog
          person={open === 'new' ? null : open}
          onClose={() => setOpen(null)}
          onInvite={(person, then) => setInvited({ person, then })}
        />
      )}
      {invited && (
        <InvitationDialog
          person={invited.person}
          onClose={() => {
            setInvited(null);
            invited.then?.();
          }}
        />
      )}
    </Page>
  );
}

function mayWords({ role, may_use_all_machines, machine_ids }: Schemas['Person']): string {
  if (role !== 'operator') return ROLE_WORDS[role].may;
  return `rounds, readings and standing down, on ${may_use_all_machines ? 'every machine' : `${machine_ids.length} machines`}`;
}

type DialogProps = {
  person: Schemas['Person'] | null;
  onClose: () => void;
  /** @param then what is done when the invitation was given out */
  onInvite: (person: Schemas['Person'], then?: () => void) => void;
};

function PersonDialog({ person, onClose, onInvite }: DialogProps) {
  const queries = useQueryClient();
  const tell = useTell();
  const machines = useQuery(allMachinesQuery());
  const [draft, setDraft] = useState({
    name: person?.name ?? '',
    sign_in_name: person?.sign_in_name ?? '',
    role: person?.role ?? ('operator' as Schemas['Role']),
    may_use_all_machines: person?.may_use_all_machines ?? true,
    machine_ids: person?.machine_ids ?? [],
    active: person?.active ?? true,
  });
  const change = (part: Partial<typeof draft>) => setDraft({ ...draft, ...part });
  const save = useWrite(
    (header, given: typeof draft) => {
      return person
        ? answer(
            api.PATCH('/people/{person}', {
              params: { path: { person: person.id }, header: { 'If-Match': `"${person.version}"` } },
              body: given,
            }),
          )
        : answer(api.POST('/people', { params: { header }, body: given }));
    },
    async (saved) => {
      onClose();
      const undo = person ? pickAccount(person) : { active: false };
      const told = () =>
        tell(`${saved.name} ${person ? 'changed' : 'added'}.`, async () => {
          await answer(
            api.PATCH('/people/{person}', {
              params: { path: { person: saved.id }, header: { 'If-Match': `"${saved.version}"` } },
              body: undo,
            }),
          );
          await queries.invalidateQueries({ queryKey: peopleQuery.queryKey });
        });
      if (person) told();
      else onInvite(saved, told);
      await queries.invalidateQueries({ queryKey: peopleQuery.queryKey });
    },
  );
  const { fields } = save;
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
        <div>
          <Tick
            checked={draft.may_use_all_machines}
            onChange={(may_use_all_machines) => change({ may_use_all_machines })}
          >
            May use every machine
          </Tick>
          {!draft.may_use_all_machines && (
            <Ticks
              label="Machines that he may use"
              quiet
              inLine
              value={draft.machine_ids.map(String)}
              onChange={(ids) => change({ machine_ids: ids.map(Number) })}
              options={(machines.data ?? []).map(({ id, name }) => ({ value: String(id), label: name }))}
            />
          )}
        </div>
      )}
      {person && (
        <Tick checked={draft.active} onChange={(active) => change({ active })}>
          May sign in
        </Tick>
      )}
      <Refusal refused={save.refused} besides={['name', 'sign_in_name', 'role']} />
      <Actions>
        <MainButton isDisabled={save.busy} onPress={() => save.send(draft)}>
          {person ? 'Change the account' : 'Add and invite'}
        </MainButton>
        {person?.active && (
          <PlainButton
            onPress={() => {
              onClose();
              onInvite(person);
            }}
          >
            Invite to a new password
          </PlainButton>
        )}
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
