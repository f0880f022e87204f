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
            $stands[$act->id] = self::standsAlone($act->kind, $act->outcome) || (
                $act->outcome === Outcome::Done && match ($act->kind) {
                    ActKind::ToppedUp => ! $misread[$act->spot],
                    ActKind::Filled => $ranOut($act->spot),
                    default => false,
                }
            );
        }

        return $stands;
    }

    /** Whether an act stands for a task whatever else was done on its occasion. */
    public static function standsAlone(ActKind $kind, Outcome $outcome): bool
    {
        return $outcome === Outcome::Done && ! self::isBound($kind, $outcome) && $kind !== ActKind::Closed;
    }

    /** Whether what an act stands for hangs on the others of its occasion, or what they stand for on it. */
    public static function isBound(ActKind $kind, Outcome $outcome): bool
    {
        return $outcome === Outcome::Unusable
            || in_array($kind, [ActKind::ToppedUp, ActKind::Filled, ActKind::Drained], true);
    }
}
