<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** A way back into a yard whose keeper is gone, for whoever has the computer. */
final class ResetKeeper extends Command
{
    protected $signature = 'keeper:reset {name? : the sign-in name; the first keeper where none is given}';

    protected $description = 'Give a keeper a new password';

    public function handle(): int
    {
        $given = $this->argument('name');
        $named = is_string($given) ? $given : null;
        $password = Str::password(14, symbols: false);
        $keeper = DB::transaction(function () use ($named, $password): ?Person {
            $found = $named === null
                ? Person::query()->where('role', Role::Keeper)->orderByDesc('active')->orderBy('id')->first()
                : Person::query()->where('sign_in_name', mb_strtolower($named))->first();
            $found?->fill(['password' => $password, 'role' => Role::Keeper, 'active' => true])->endAccess()->save();

            return $found;
        });
        if ($keeper === null) {
            $this->error(
                $named === null
                    ? 'This yard has no keeper yet: the first visit makes one.'
                    : "Nobody here signs in as \"{$named}\".",
            );

            return self::FAILURE;
        }
        $this->line("{$keeper->name} is keeper and signs in as {$keeper->sign_in_name} with {$password}");
        $this->line('It is shown this once. Change it after signing in.');

        return self::SUCCESS;
    }
}
