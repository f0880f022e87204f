import { useQueryClient } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { Refused, type Schemas } from '../api/client';
import { HandsHead, HandsPage, Question } from './Hands';
import { Empty, Lead, Page, Sheet, Title } from './Sheet';

type Props = {
  /** What the page will tell. */
  title?: string;
  error?: Error | null;
};

/** A page until its data comes: what is known stands at once, what is coming is named, and where it does not come that is said. */
export function Reading({ title, error }: Props) {
  return (
    <Page aria-busy={!error}>
      {title && (
        <Lead>
          <Title>{title}</Title>
        </Lead>
      )}
      <Sheet>
        <Empty role="status">{wordsFor(error)}</Empty>
      </Sheet>
    </Page>
  );
}

/** The same where hands are busy. */
export function ReadingInHands({ title, error }: Props) {
  return (
    <HandsPage aria-busy={!error}>
      {title && (
        <HandsHead>
          <h1>{title}</h1>
        </HandsHead>
      )}
      <Question role="status">{wordsFor(error)}</Question>
    </HandsPage>
  );
}

/** The name of the machine that the address names, where the yard's sheet has told it already. */
export function useKnownName(): string | undefined {
  const id = Number(useParams().machine);
  const lists = useQueryClient().getQueriesData<{ pages: { data: Schemas['YardLine'][] }[] }>({ queryKey: ['machines'] });
  return lists.flatMap(([, list]) => list?.pages.flatMap((page) => page.data) ?? []).find((line) => line.id === id)?.name;
}

function wordsFor(error?: Error | null): string {
  if (!error) return 'Reading the book …';
  return error instanceof Refused ? error.problem.detail : 'The yard does not answer.';
}
