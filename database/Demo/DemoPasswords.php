<?php

declare(strict_types=1);

namespace Database\Demo;

use App\People\Person;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Str;

/** Gives the demo's accounts new passwords where everybody knows theirs: before others than the computer itself reach it. */
final class DemoPasswords extends Command
{
    protected $signature = 'demo:passwords';

    protected $description = 'Replace the demo\'s known passwords';

    public function handle(): int
    {
        foreach (DemoPeople::ALL as ['sign_in_name' => $name]) {
            $password = DB::transaction(function () use ($name): ?string {
                $person = Person::query()->where('sign_in_name', $name)->lockForUpdate()->first();
                if ($person === null || ! Hash::check(DemoPeople::password($name), $person->password)) {
                    return null;
                }
                $new = Str::password(14, symbols: false);
                $person->fill(['password' => $new])->endAccess()->save();

                return $new;
            });
            if ($password !== null) {
                $this->line(sprintf('  %-8s %s   (shown this once: the house reaches this yard)', $name, $password));
            }
        }

        return self::SUCCESS;
    }
}
