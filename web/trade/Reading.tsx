import { useQueryClient } from '@tanstack/react-query';
import { Link, useLocation, useParams } from 'react-router';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { Actions, PlainButton, quietLink } from '../kit/Button';
import { HandsHead, HandsPage, Question } from '../kit/Hands';
import { NothingHere } from '../kit/NothingHere';
import { Empty, Lead, Page, Sheet, Title } from '../kit/Sheet';
import { Refused } from '../offline/refused';

const BackLink = styled(Link)`${quietLink} align-self: flex-start;`;

type Props = {
  /** What the page will tell. */
  title?: string;
  error?: unknown;
};

/** A page until its data comes: what is known stands at once, what is coming is named, and where it does not come that is said. */
export function Reading({ title, error }: Props) {
  if (isNowhere(error)) return <Nowhere says={error.problem.detail} />;
  return (
    <Page aria-busy={!error}>
      {title && (
        <Lead>
          <Title>{title}</Title>
        </Lead>
      )}
      <Sheet>
        <ReadingInSheet error={error} />
      </Sheet>
    </Page>
  );
}

/** The same for one sheet of a page that stands already. */
export function ReadingInSheet({ error }: Props) {
  return (
    <Empty aria-busy={!error}>
      <p role="status">{wordsFor(error)}</p>
      {Boolean(error) && <TryAgain />}
    </Empty>
  );
}

/** The same where hands are busy, and perhaps no signal reaches. */
export function ReadingInHands({ title, error }: Props) {
  if (isNowhere(error)) return <Nowhere says={error.problem.detail} />;
  const outOfReach = error instanceof Refused && error.problem.status === 0;
  return (
    <HandsPage aria-busy={!error}>
      {title && (
        <HandsHead>
          <h1>{title}</h1>
        </HandsHead>
      )}
      <Question>
        <p role="status">
          {outOfReach ? 'No signal, and this machine was not opened on this device before.' : wordsFor(error)}
        </p>
        {Boolean(error) && <TryAgain />}
        {Boolean(error) && <BackLink to="/walkaround">Back to the machines</BackLink>}
      </Question>
    </HandsPage>
  );
}

const isNowhere = (error: unknown): error is Refused => error instanceof Refused && error.problem.status === 404;

/** What an address names is not in this yard. */
function Nowhere({ says }: { says: string }) {
  const [, place = ''] = useLocation().pathname.split('/');
  return (
    <NothingHere says={says} to={place === 'machines' ? '/yard' : `/${place}`} leadsTo="Go back to where it would be" />
  );
}

function TryAgain() {
  const queries = useQueryClient();
  return (
    <Actions>
      <PlainButton onPress={() => queries.refetchQueries({ predicate: ({ state }) => state.status === 'error' })}>
        Try again
      </PlainButton>
    </Actions>
  );
}

/** The name of the machine that the address names, where the yard's sheet has told it already. */
export function useKnownName(): string | undefined {
  const id = Number(useParams().machine);
  const lists = useQueryClient().getQueriesData<{ pages?: { data: Schemas['YardLine'][] }[] }>({
    queryKey: ['get', '/machines'],
  });
  return lists.flatMap(([, list]) => list?.pages?.flatMap((page) => page.data) ?? []).find((line) => line.id === id)
    ?.name;
}

function wordsFor(error?: unknown): string {
  if (!error) return 'Reading the book …';
  return error instanceof Refused ? error.problem.detail : 'The yard does not answer.';
}
