<?php

declare(strict_types=1);

namespace Core\Machine;

/** The acts of one entry, or of all entries of one job, and which of them stand for what tasks ask. */
final class OneOccasion
{
    /**
     * Whether each act stands for a task: done and usable; a top-up unless its level was read the wrong way on the same
     * occasion; a filling where the same
     * occasion drained its compartment at every drain. Greasing is judged by its point instead.
     *
     * @param  list<ActDone>  $acts  that were not struck
     * @param  array<string, list<string>>  $drains  by compartment, the keys of its drains
     * @return array<string, bool> by the act's id
     */
    public static function stands(array $acts, array $drains): array
    {
        $drained = $misread = [];
        foreach ($acts as $act) {
            $drained[$act->spot] = ($drained[$act->spot] ?? false)
                || ($act->kind === ActKind::Drained && $act->outcome === Outcome::Done);
            $misread[$act->spot] = ($misread[$act->spot] ?? false) || $act->outcome === Outcome::Unusable;
        }
        $ranOut = fn (string $compartment): bool => ($drained[$compartment] ?? false)
            || (
                ($drains[$compartment] ?? []) !== []
                && array_filter($drains[$compartment], fn (string $drain): bool => ! ($drained[$drain] ?? false)) === []
            );
        $stands = [];
        foreach ($acts as $act) {
            $stands[$act->id] = $act->outcome === Outcome::Done && match ($act->kind) {
                ActKind::ToppedUp => ! $misread[$act->spot],
                ActKind::Filled => $ranOut($act->spot),
                ActKind::Drained, ActKind::Closed => false,
                default => true,
            };
        }

        return $stands;
    }
}
