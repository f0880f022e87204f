<?php

declare(strict_types=1);

namespace Tests\Core;

use App\Contract\Record;
use Illuminate\Foundation\Auth\User;
use PhpParser\Node\Name\FullyQualified;
use PhpParser\Node\Stmt\Class_;
use PhpParser\Node\Stmt\ClassLike;
use PhpParser\NodeFinder;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\NameResolver;
use PhpParser\ParserFactory;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ArchitectureTest extends TestCase
{
    public function test_the_core_reaches_for_nothing_but_itself_and_the_arithmetic_library(): void
    {
        $outside = [];
        foreach (self::files('core', 'php') as $file) {
            preg_match_all('/^use (?!Core\\\\|Brick\\\\Math\\\\|Random\\\\)(\S+);/m', (string) file_get_contents($file), $found);
            preg_match_all(
                '/\b(Illuminate|Carbon|App)\\\\|\b(file_get_contents|fopen|curl_init|time|microtime|date)\(|new \\\\DateTimeImmutable(\(\)|;|\(\'now)/',
                (string) file_get_contents($file),
                $reached,
            );
            foreach ([...$found[0], ...$reached[0]] as $what) {
                $outside[] = "{$file}: {$what}";
            }
        }
        self::assertSame([], $outside);
    }

    /** A room's folders, from the bottom up, as design.md has them: each knows only those before it. */
    private const ROOMS = [
        'core' => [
            'Measure',
            'Form',
            'Meter',
            'Machine',
            'LogLine',
            'Schedule',
            'Fluid',
            'Inspect',
            'Grease',
            'Forecast',
            'Chart',
            'Fill',
            'Supply',
            'Procedure',
            'Starter',
            'Reckoner',
            'Upkeep',
        ],
        'app' => [
            'Contract',
            'People',
            'Machines',
            'Notes',
            'Logbook',
            'Rulebook',
            'Walkaround',
            'Shelf',
            'Bench',
            'Yard',
            'Calendar',
            'Reckoner',
            'Upkeep',
            'Providers',
        ],
    ];

    /** Files in one folder of `app/`, past which it is probably two. */
    private const MOST_FILES = 20;

    #[TestWith(['core'])]
    #[TestWith(['app'])]
    public function test_arrows_between_the_folders_of_a_room_run_one_way(string $room): void
    {
        $upwards = [];
        foreach (self::arrows($room) as $from => $known) {
            self::assertContains($from, self::ROOMS[$room], "nobody has said where {$from} stands");
            foreach ($known as $to => $file) {
                if (array_search($to, self::ROOMS[$room], true) > array_search($from, self::ROOMS[$room], true)) {
                    $upwards[] = "{$from} knows {$to} in {$file}";
                }
            }
        }

        self::assertSame([], $upwards);
    }

    /**
     * Two models that are each other's relation are one line in the drawing of the tables, told from both its ends: such
     * an arrow does not count.
     */
    #[TestWith(['core'])]
    #[TestWith(['app'])]
    public function test_no_two_files_know_each_other_not_even_by_way_of_others(string $room): void
    {
        $knows = self::knownBy($room);
        $circles = [];
        $state = [];
        $walk = function (string $class, array $way) use (&$walk, &$state, &$circles, $knows): void {
            $state[$class] = 'open';
            foreach ($knows[$class] as $known) {
                if (($state[$known] ?? '') === 'open') {
                    $circles[] = implode(' → ', [...array_slice([...$way, $class], (int) array_search($known, [...$way, $class], true)), $known]);
                } elseif (! isset($state[$known])) {
                    $walk($known, [...$way, $class]);
                }
            }
            $state[$class] = 'done';
        };
        foreach (array_keys($knows) as $class) {
            isset($state[$class]) || $walk($class, []);
        }

        self::assertSame([], $circles);
    }

    /** @return array<string, list<string>> by class, the others of its room that its code names */
    private static function knownBy(string $room): array
    {
        $parser = (new ParserFactory)->createForHostVersion();
        $named = $models = [];
        foreach (self::files($room, 'php') as $file) {
            $resolver = new NodeTraverser(new NameResolver);
            $nodes = $resolver->traverse($parser->parse((string) file_get_contents($file)) ?? []);
            $finder = new NodeFinder;
            foreach ($finder->findInstanceOf($nodes, ClassLike::class) as $class) {
                $name = (string) $class->namespacedName;
                $named[$name] = array_map(strval(...), $finder->findInstanceOf([$class], FullyQualified::class));
                $parent = $class instanceof Class_ ? (string) $class->extends : '';
                $models[$name] = in_array($parent, [Record::class, User::class], true);
            }
        }
        $knows = [];
        foreach ($named as $class => $names) {
            $knows[$class] = array_values(array_unique(array_filter(
                $names,
                fn (string $name): bool => isset($named[$name]) && $name !== $class && ! ($models[$class] && $models[$name]),
            )));
        }

        return $knows;
    }

    /** Whoever is read first knows no more than he must. */
    public function test_in_the_core_what_is_read_lies_below_all_else(): void
    {
        $arrows = self::arrows('core');

        self::assertSame([[], ['Measure']], [array_keys($arrows['Measure'] ?? []), array_keys($arrows['Form'] ?? [])]);
    }

    public function test_no_folder_of_the_application_is_a_heap(): void
    {
        $counts = array_count_values(array_map(dirname(...), self::files('app', 'php')));

        self::assertSame([], array_filter($counts, fn (int $count): bool => $count > self::MOST_FILES));
    }

    public function test_the_web_fetches_nothing_from_elsewhere(): void
    {
        foreach ([...self::files('web', 'ts'), ...self::files('web', 'tsx')] as $file) {
            self::assertDoesNotMatchRegularExpression(
                '~https?://~',
                (string) file_get_contents($file),
                "{$file} names an address outside",
            );
        }
    }

    /** Tests and pictures have a day of their own, which holds only where everybody asks the one clock. */
    public function test_there_is_one_clock(): void
    {
        $others = [];
        $clocks = [
            'web' => '/new Date\(\)|Date\.now\(/',
            'app' => '/\bnew \\\\?DateTime(Immutable)?(;|\(\)|\(\'now)|(?<![\w>:$])(time|date|microtime)\(|\bnow\(\) [-+]|CURRENT_TIMESTAMP|CURDATE|UTC_TIMESTAMP/i',
            'database' => '/useCurrent|CURRENT_TIMESTAMP|\bnew \\\\?DateTime(Immutable)?(;|\(\)|\(\'now)|(?<![\w>:$])(time|date)\(/',
        ];
        foreach ($clocks as $folder => $clock) {
            foreach ([...self::files($folder, 'php'), ...self::files($folder, 'ts'), ...self::files($folder, 'tsx')] as $file) {
                if (
                    preg_match('~web/(kit/clock|offline/deviceTime)\.ts$~', $file) === 0
                    && preg_match($clock, (string) file_get_contents($file), $found)
                ) {
                    $others[] = "{$file}: {$found[0]}";
                }
            }
        }

        self::assertSame([], $others);
    }

    /** More are values with names. The rooms of the bench's plans are opened anew. */
    public function test_nothing_is_made_of_more_than_eight_things(): void
    {
        $wide = [];
        foreach ([...self::files('core', 'php'), ...self::files('app', 'php')] as $file) {
            $code = (string) file_get_contents($file);
            preg_match('/function __construct\((.*?)\)\s*\{/s', $code, $constructor);
            if (substr_count((string) preg_replace('/\([^)]*\)|\[[^\]]*\]/', '', $constructor[1] ?? ''), '$') > 8) {
                $wide[] = $file;
            }
        }

        self::assertSame([], $wide);
    }

    /** Which way a spot has is its own matter. */
    public function test_the_composer_of_a_plan_knows_ports_and_laws_and_no_kind_of_anything(): void
    {
        $code = (string) file_get_contents(dirname(__DIR__, 2).'/core/Procedure/Composer.php');
        self::assertDoesNotMatchRegularExpression('/instanceof|CompartmentKind|PartKind|DrainWay|LevelMethod|Subject|->is(Engine|Fuel|Coolant|Drive|Filter)\(\)/', $code);
    }

    public function test_every_rule_of_the_trade_names_the_class_that_holds_it(): void
    {
        $page = (string) file_get_contents(dirname(__DIR__, 2).'/docs/rules.md');
        $classes = [...self::files('core', 'php'), ...self::files('app', 'php')];
        $rules = preg_grep('/^\| (?!rule \||task \||---)/', explode("\n", (string) preg_replace('/^\| task \|.*?\n\n/ms', '', $page))) ?: [];
        self::assertGreaterThan(95, count($rules));
        foreach ($rules as $rule) {
            self::assertSame(1, preg_match('/ \| ((?:`[\w\/]+`(?:, )?)+)( \(`[\w\/]+`\))? \|$/', $rule, $column), "names no class: {$rule}");
            foreach (explode(', ', $column[1]) as $class) {
                $file = '/'.trim($class, '`').'.php';
                self::assertNotSame([], array_filter($classes, fn (string $path): bool => str_ends_with($path, $file)), "there is no {$class}: {$rule}");
            }
        }
    }

    public function test_every_file_of_ours_declares_strict_types(): void
    {
        foreach (['core', 'app', 'database', 'routes', 'config', 'tests'] as $folder) {
            foreach (self::files($folder, 'php') as $file) {
                self::assertStringContainsString('declare(strict_types=1);', (string) file_get_contents($file), $file);
            }
        }
    }

    /** @return array<string, array<string, string>> by folder, each that it knows with a file in which it does */
    private static function arrows(string $room): array
    {
        $arrows = [];
        $name = ucfirst($room);
        foreach (self::files($room, 'php') as $file) {
            preg_match("~{$room}/(\\w+)/~", $file, $folder);
            // What is told of another beside the code is no arrow.
            preg_match_all("/\\b{$name}\\\\(\\w+)\\\\/", php_strip_whitespace($file), $used);
            foreach (array_diff(array_unique($used[1]), [$folder[1]]) as $other) {
                $arrows[$folder[1]][$other] = basename($file);
            }
        }

        return $arrows;
    }

    /** @return list<string> */
    private static function files(string $folder, string $ending): array
    {
        $root = dirname(__DIR__, 2);
        $files = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator("{$root}/{$folder}", \FilesystemIterator::SKIP_DOTS)) as $file) {
            if ($file->getExtension() === $ending && $file->getFilename() !== 'schema.ts') {
                $files[] = $file->getPathname();
            }
        }

        return $files;
    }
}
