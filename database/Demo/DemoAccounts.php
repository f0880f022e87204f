<?php

declare(strict_types=1);

namespace Database\Demo;

use App\People\Person;
use Illuminate\Console\Command;

/** Prints the demo's accounts, where the yard is the demo's. */
final class DemoAccounts extends Command
{
    protected $signature = 'demo:accounts';

    protected $description = 'Print the demo accounts';

    public function handle(): int
    {
        $present = Person::query()->pluck('sign_in_name')->all();
        if ($present === []) {
            $this->line('There are no accounts yet: the first visit makes the first keeper.');

            return self::SUCCESS;
        }
        $demo = array_filter(
            DemoPeople::ALL,
            fn (array $person): bool => in_array($person['sign_in_name'], $present, true),
        );
        if (count($demo) < count(DemoPeople::ALL)) {
            return self::SUCCESS;
        }
        $this->line('Demo accounts (sign-in name, password, role):');
        foreach ($demo as $person) {
            $this->line(
                sprintf(
                    '  %-8s %-20s %s',
                    $person['sign_in_name'],
                    DemoPeople::password($person['sign_in_name']),
                    $person['role']->value,
                ),
            );
        }

        return self::SUCCESS;
    }
}
