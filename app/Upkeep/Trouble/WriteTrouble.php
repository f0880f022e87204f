<?php

declare(strict_types=1);

namespace App\Upkeep\Trouble;

use App\Contract\Disk;
use App\Contract\RefusalLog;
use App\Upkeep\Backup\Kept;
use App\Upkeep\Commands\Asked;
use App\Upkeep\Computer\RunningPrograms;
use App\Upkeep\StateFolder;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use Symfony\Component\Process\Process;

/** One file that can be sent to somebody who helps: what runs, what was refused, what broke, how large it all is. */
final class WriteTrouble extends Command
{
    private const LINES_OF_A_LOG = 60;

    private const REFUSALS = 100;

    private const LOGS = ['fpm', 'nginx', 'database', 'night', 'clock', 'renewal', 'supervisord'];

    protected $signature = 'computer:trouble {file}';

    protected $description = 'Write what somebody needs to know who helps';

    public function handle(): int
    {
        $parts = [
            'Versions' => $this->versions(...),
            'Computer' => $this->computer(...),
            'Programs' => $this->programs(...),
            'Tables' => $this->tables(...),
            'Backups' => fn (): array => array_map(fn (Kept $one): string => $one->madeAt->toIso8601String()." {$one->bytes} bytes, proved ".($one->provedAt?->toIso8601String() ?? 'never'), Kept::all()),
            'Last refusals' => fn (): array => RefusalLog::last(self::REFUSALS),
            ...array_combine(
                array_map(fn (string $log): string => "Log of {$log}", self::LOGS),
                array_map(fn (string $log): \Closure => fn (): array => self::tail(StateFolder::path("log/{$log}.log")), self::LOGS),
            ),
        ];
        $hidden = new Hidden;
        $text = 'Jardinier, '.now()->toIso8601String()."\nHolds no names, no words of entries, no secrets. Look through it before you send it.\n";
        foreach ($parts as $title => $lines) {
            try {
                $told = $lines();
            } catch (\Throwable $fault) {
                // What is broken is what this is for.
                $told = ['not to be had: '.$fault::class];
            }
            $text .= "\n== {$title} ==\n".implode("\n", $told)."\n";
        }
        umask(0077);
        $file = (string) Asked::argument($this, 'file');
        file_put_contents($file, $hidden->in($text));
        $this->line("Written to {$file}. It holds no names, no words of entries and no secrets; look through it before you send it.");

        return self::SUCCESS;
    }

    /** @return list<string> */
    private function versions(): array
    {
        $first = function (string ...$command): string {
            $asked = new Process(array_values($command));
            $asked->setTimeout(5)->run();

            return "{$command[0]}: ".(string) strtok(trim($asked->getOutput().$asked->getErrorOutput()) ?: 'not to be had', "\n");
        };

        return [
            'Jardinier: '.trim((string) @file_get_contents(base_path('.git/HEAD'))).', migrations '.count(glob(database_path('migrations/*.php')) ?: []),
            'PHP '.PHP_VERSION.' '.php_uname('s').' '.php_uname('r').' '.php_uname('m'),
            $first('mariadbd', '--version'),
            $first('nginx', '-v'),
            $first('node', '--version'),
            trim((string) (parse_ini_file('/etc/os-release')['PRETTY_NAME'] ?? '')),
        ];
    }

    /** @return list<string> */
    private function computer(): array
    {
        preg_match_all('/^(MemTotal|MemAvailable|SwapFree):.*$/m', (string) @file_get_contents('/proc/meminfo'), $memory);

        return [
            ...$memory[0],
            'Load '.implode(' ', sys_getloadavg() ?: []),
            'Disk '.Disk::room()['free'].' bytes free, '.Disk::room()['percent'].' %',
            'Clock '.now()->toIso8601String(),
        ];
    }

    /** @return list<string> */
    private function programs(): array
    {
        return array_map(
            fn (array $program): string => "{$program['name']}: ".($program['runs'] ? "runs for {$program['since']}" : 'does not run').", started again {$program['restarts']} times",
            RunningPrograms::all(),
        );
    }

    /** @return list<string> */
    private function tables(): array
    {
        return array_map(
            fn (\stdClass $table): string => "{$table->name}: some {$table->rows} rows, {$table->bytes} bytes",
            array_values(DB::select('select table_name as name, table_rows as `rows`, data_length + index_length as bytes from information_schema.tables where table_schema = database() order by table_name')),
        );
    }

    /** @return list<string> */
    private static function tail(string $log): array
    {
        return array_slice(@file($log, FILE_IGNORE_NEW_LINES) ?: [], -self::LINES_OF_A_LOG);
    }
}
