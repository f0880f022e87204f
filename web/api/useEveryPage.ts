import { useEffect } from 'react';

type Pages = { hasNextPage: boolean; isFetching: boolean; fetchNextPage: () => Promise<unknown> };

/** Fetches page after page of a list that is shown as a whole. */
export function useEveryPage({ hasNextPage, isFetching, fetchNextPage }: Pages): void {
  useEffect(() => {
    if (hasNextPage && !isFetching) void fetchNextPage();
  }, [hasNextPage, isFetching, fetchNextPage]);
}
