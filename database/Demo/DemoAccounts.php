<?php

declare(strict_types=1);

namespace Database\Demo;

use App\People\Person;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Hash;

/** Prints the demo's accounts, where the yard is the demo's. */
final class DemoAccounts extends Command
{
    protected $signature = 'demo:accounts';

    protected $description = 'Print the demo accounts';

    public function handle(): int
    {
        if (Person::query()->doesntExist()) {
            $this->line('There are no accounts yet: the first visit makes the first keeper.');

            return self::SUCCESS;
        }
        $demo = array_filter(DemoPeople::ALL, function (array $person): bool {
            $hash = Person::query()->where('sign_in_name', $person['sign_in_name'])->value('password');

            return $hash !== null && Hash::check(DemoPeople::password($person['sign_in_name']), $hash);
        });
        if ($demo === []) {
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
