<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Yard\Machine;
use Core\Inspect\CheckSheet;
use Core\Inspect\LimitSource;
use Core\Inspect\StarterSheet;

/** The check sheets of the yard: what each class begins with, what the keeper changed for the class, then for the machine. */
final class Sheets
{
    /** @var array<string, CheckSheet> by class */
    private array $ofClass = [];

    public function of(Machine $machine): CheckSheet
    {
        $class = $machine->class;
        $this->ofClass[$class->value] ??= StarterSheet::for($class)->changed(self::changes(['class' => $class->value]), LimitSource::MachineClass);

        return $this->ofClass[$class->value]->changed(self::changes(['machine_id' => $machine->id]), LimitSource::Machine);
    }

    /** What a thing that is looked at is called, whether or not it still stands on the sheet; null where nobody ever looked at it. */
    public function titleOf(Machine $machine, string $subject): ?string
    {
        return $this->of($machine)->find($subject)->title ?? Observation::query()->where(['machine_id' => $machine->id, 'subject' => $subject])->latest('happened_at')->value('title');
    }

    /**
     * @param  array<string, int|string>  $where
     * @return list<\Core\Inspect\SheetChange>
     */
    private static function changes(array $where): array
    {
        return array_values(ChangedCheck::query()->where($where)->orderBy('id')->get()->map(fn (ChangedCheck $change) => $change->toCore())->all());
    }
}
