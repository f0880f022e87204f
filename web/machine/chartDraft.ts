import type { Schemas } from '../api/client';
import { AS_SUGGESTED, chosenSpots, likeliest, type SpotChoice, type Suggestion } from './spotChoice';

/** What a row of marks amounts to, as the calculator `chart-read` tells it. */
export type Understood = {
  task: string;
  kind: Schemas['TaskKind'];
  first: Schemas['Interval'][];
  every: Schemas['Interval'];
  windows: Schemas['YearWindow'][];
  condition: string | null;
  anchor: 'from_done' | 'chart';
  in_words: string;
  line: number | null;
  marks: boolean[];
};

export type Question = { id: string; ask: string; options: { id: string; label: string }[]; suggested: string | null };

export type ChartReading = {
  rows: Understood[];
  questions: Question[];
  remarks: string[];
  headings: string[];
  points: string[];
};

/** A row of the chart while it is being edited. */
export type EditedRow = {
  key: string;
  ruleId: number | null;
  task: string;
  kind: Schemas['TaskKind'];
  /** The headings it is marked under. */
  marks: string[];
  /** Its only mark stands for an interval; the rest follow from it. */
  recurs: boolean;
  touched: boolean;
  /** Where it is done, of one that is new. */
  spot: SpotChoice;
};

export type ChartDraft = {
  headings: string[];
  points: string[];
  rows: EditedRow[];
  removed: number[];
  answers: Record<string, string>;
};

export function chartDraft(chart: Schemas['Chart']): ChartDraft {
  return {
    headings: chart.headings,
    points: chart.points,
    rows: chart.rows.map((row) => ({
      key: `rule-${row.rule_id}`,
      ruleId: row.rule_id,
      task: row.task,
      kind: row.kind,
      marks: chart.headings.filter((_, index) => row.marks[index]),
      recurs: false,
      touched: false,
      spot: AS_SUGGESTED,
    })),
    removed: [],
    answers: {},
  };
}

/** What the calculator is asked: the rows that were touched, and that have a task and a mark. */
export function question(draft: ChartDraft, unit: Schemas['MeterUnit']) {
  const rows = draft.rows.filter(isComplete);
  return {
    unit,
    headings: draft.headings,
    rows: rows.map((row) => ({
      task: row.task,
      recurs: row.recurs,
      cells: draft.headings.map((heading) => (row.marks.includes(heading) ? row.kind : '')),
    })),
    answers: { far_end: 'every', ...draft.answers },
  };
}

export const isComplete = (row: EditedRow): boolean => row.touched && row.task.trim() !== '' && row.marks.length > 0;

/** The rows as the contract takes them. A rule that is there already keeps its way of counting. */
export function chartBody(draft: ChartDraft, understood: Map<string, Understood>, suggested: Map<string, Suggestion>) {
  const touched = draft.rows.filter(({ touched: changed }) => changed);
  return {
    rows: touched.flatMap((row) => {
      const rule = understood.get(row.key);
      if (!rule) return [];
      const { task, kind, first, every, windows, condition, anchor } = rule;
      return [
        row.ruleId === null
          ? {
              task,
              kind,
              first,
              every,
              windows,
              condition,
              anchor,
              ...chosenSpots(row.spot || likeliest(suggested.get(row.key)), suggested.get(row.key)),
            }
          : { rule_id: row.ruleId, task, kind, first, every, windows },
      ];
    }),
    remove: draft.removed,
  };
}

/** The headings in the order of a book, as far as it was told; what was added since stands last. */
export function inOrder(draft: ChartDraft, { headings, points }: ChartReading): ChartDraft {
  const added = draft.headings.filter((heading) => !headings.includes(heading));
  return {
    ...draft,
    headings: [...headings.filter((heading) => draft.headings.includes(heading)), ...added],
    points: [...new Set([...draft.points, ...points])],
  };
}
