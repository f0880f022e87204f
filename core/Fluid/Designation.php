<?php

declare(strict_types=1);

namespace Core\Fluid;

/**
 * What a label promises, or a book asks for: a service category of engine or gear oil, a brake fluid's class, or a
 * maker's own words.
 *
 * Sources: API 1509 with its category charts for S and C; API 1560 for GL; ILSAC GF; FMVSS 116 for DOT; ISO 11158 for
 * H. All from memory.
 */
final readonly class Designation
{
    /** Petrol engines, the oldest first: each covers those before it. */
    private const PETROL = [
        'SA', 'SB', 'SC', 'SD', 'SE', 'SF', 'SG', 'SH', 'SJ', 'SL', 'SM', 'SN', 'SN PLUS', 'SP', 'SQ',
    ];

    /** Four-stroke diesels, the oldest first: each covers those before it. */
    private const DIESEL = ['CA', 'CB', 'CC', 'CD', 'CE', 'CF-4', 'CG-4', 'CH-4', 'CI-4', 'CI-4 PLUS', 'CJ-4', 'CK-4'];

    /** The petrol category that an oil made to save fuel in motor cars fulfils besides. */
    private const SAVING = [
        'GF-1' => 'SH',
        'GF-2' => 'SJ',
        'GF-3' => 'SL',
        'GF-4' => 'SM',
        'GF-5' => 'SN',
        'GF-6A' => 'SP',
        'GF-7A' => 'SQ',
    ];

    /** The older ones that a fluid covers, of those that stand in no row. */
    private const COVERS = [
        'CF' => ['CA', 'CB', 'CC', 'CD'],
        'CF-2' => ['CD-II'],
        'GF-6B' => [],
        'GF-7B' => ['GF-6B'],
        'GL-4' => ['GL-3'],
        'GL-6' => ['GL-5'],
        'DOT 4' => ['DOT 3'],
        'DOT 5.1' => ['DOT 3', 'DOT 4'],
        'HM' => ['HL'],
        'HV' => ['HL', 'HM'],
        'HLP' => ['HL'],
        'HVLP' => ['HL', 'HLP'],
    ];

    private function __construct(public string $name) {}

    public static function of(string $written): self
    {
        $name = mb_strtoupper(preg_replace('/\s+/u', ' ', trim($written)) ?? '');
        $name = preg_replace('/^(API|ILSAC|SERVICE)\s+/', '', $name) ?? $name;
        $name = preg_replace(
            [
                '/^(GL|MT|GF|CF|CG|CH|CI|CJ|CK|FA)[ -]?(\d[AB]?)(?=$|\s|\+)/',
                '/^DOT[ -]?(\d(?:\.\d)?)(?: ?\+| PLUS)?$/',
                '/^(SN|CI-4) ?(?:\+|-?PLUS)$/',
                '/^CD-?(II|2)$/',
            ],
            ['$1-$2', 'DOT $1', '$1 PLUS', 'CD-II'],
            $name,
        ) ?? $name;

        return new self($name);
    }

    /**
     * All that one label says, `SN/CF`, `GL-4, GL-5`.
     *
     * @return list<self>
     */
    public static function all(string $written): array
    {
        $parts = preg_split('~\s*[/,;&]\s*~', trim($written), flags: PREG_SPLIT_NO_EMPTY);

        return array_map(self::of(...), $parts === false ? [] : $parts);
    }

    /** Made to save fuel in motor cars. */
    public function savesFuel(): bool
    {
        return str_starts_with($this->name, 'GF-');
    }

    /**
     * Whether what carries this may go where that is asked for.
     *
     * @param  bool|null  $yellowMetals  brass or bronze inside, which decides between gear oils; null where nobody said
     */
    public function covers(self $needed, ?bool $yellowMetals = null): Reason
    {
        [$has, $needs] = [$this->name, $needed->name];
        if ($has === $needs) {
            return Reason::yes("{$has} is what is asked for.");
        }
        foreach ([self::PETROL, self::DIESEL] as $row) {
            if (in_array($has, $row, true) && in_array($needs, $row, true)) {
                return array_search($has, $row, true) > array_search($needs, $row, true)
                    ? Reason::yes("{$has} covers {$needs}: it is newer in the same row.")
                    : Reason::no("{$has} is older than {$needs} and does not cover it.");
            }
        }
        if (in_array($needs, self::COVERS[$has] ?? [], true)) {
            return Reason::yes("{$has} covers {$needs}.");
        }

        return $this->ofGears($needs, $yellowMetals) ?? $this->ofEngines($needed) ?? $this->ofBrakes($needs)
            ?? (in_array($has, self::COVERS[$needs] ?? [], true)
                ? Reason::no("{$has} is less than {$needs} asks for.")
                : Reason::ask("Nothing here tells whether {$has} covers {$needs}: see the label and the book."));
    }

    private function ofGears(string $needs, ?bool $yellowMetals): ?Reason
    {
        $has = $this->name;
        if (! preg_match('/^GL-([1-6])$/D', $has, $one) || ! preg_match('/^GL-([1-6])$/D', $needs, $other)) {
            return $needs === 'MT-1' && preg_match('/^GL-[1-6]$/D', $has)
                ? Reason::ask("{$needs} is for gearboxes without synchronisers and says nothing of gears like {$has}.")
                : null;
        }

        return match (true) {
            $one[1] < $other[1] => Reason::no("{$has} carries less than {$needs} gears need."),
            $one[1] < 5 => Reason::ask("{$has} is made for harder gears than {$needs}: the book must allow it."),
            $yellowMetals === null => Reason::ask(
                "{$has} carries enough for {$needs}, but its additives may attack brass and bronze: is there yellow metal inside?",
            ),
            $yellowMetals => Reason::no(
                "There is brass or bronze inside, which the additives of {$has} attack: it wants {$needs}.",
            ),
            default => Reason::yes("{$has} carries enough for {$needs}, and there is no brass or bronze inside."),
        };
    }

    private function ofEngines(self $needed): ?Reason
    {
        [$has, $needs] = [$this->name, $needed->name];
        $isPetrol = fn (string $name): bool => in_array($name, self::PETROL, true);
        $isDiesel = fn (string $name): bool => in_array($name, [...self::DIESEL, 'CF', 'CF-2', 'CD-II', 'FA-4'], true);
        if (isset(self::SAVING[$has]) && isset(self::SAVING[$needs])) {
            $order = array_keys(self::SAVING);

            return array_search($has, $order, true) > array_search($needs, $order, true)
                ? Reason::yes("{$has} covers {$needs}.")
                : Reason::no("{$has} is older than {$needs} and does not cover it.");
        }

        return match (true) {
            isset(self::SAVING[$has]) && $isPetrol($needs) => self::of(self::SAVING[$has])->covers($needed),
            $isPetrol($has) && $needed->savesFuel() => Reason::ask(
                "{$has} says nothing of the fuel that {$needs} is to save: the label must carry {$needs}.",
            ),
            $has === 'FA-4' && $isDiesel($needs) => Reason::no("FA-4 is thinner and does not stand for {$needs}."),
            $needs === 'FA-4'
                && $isDiesel($has) => Reason::ask("The engine's maker says whether {$has} may stand for FA-4."),
            $isDiesel($has)
                && $needs === 'CF' => Reason::ask("{$has} never was a successor of CF: the engine's maker decides."),
            $has === 'CF' && $isDiesel($needs) => Reason::no("CF is for older engines and does not cover {$needs}."),
            $isDiesel($has) && $isDiesel($needs) => Reason::no("{$has} and {$needs} are for unlike diesels."),
            $isPetrol($has)
                && $isDiesel($needs) => Reason::no(
                    "{$has} is for petrol engines; {$needs} asks for a diesel category on the label.",
                ),
            $isDiesel($has)
                && $isPetrol($needs) => Reason::no(
                    "{$has} is for diesels; {$needs} asks for a petrol category on the label.",
                ),
            default => null,
        };
    }

    private function ofBrakes(string $needs): ?Reason
    {
        $isDot = fn (string $name): bool => str_starts_with($name, 'DOT ');

        return match (true) {
            ! $isDot($this->name) || ! $isDot($needs) => null,
            $this->name === 'DOT 5' => Reason::no("DOT 5 is silicone and is never put into a {$needs} system."),
            $needs === 'DOT 5' => Reason::no("{$this->name} is glycol and is never put into a silicone system."),
            default => Reason::no("{$this->name} boils sooner than {$needs} asks for."),
        };
    }

    /**
     * The best that any of a label's designations says to any one that is asked for.
     *
     * @param  non-empty-list<self>  $has
     * @param  non-empty-list<self>  $needs
     */
    public static function anyCovers(array $has, array $needs, ?bool $yellowMetals = null): Reason
    {
        $best = null;
        foreach ($needs as $needed) {
            foreach ($has as $one) {
                $reason = $one->covers($needed, $yellowMetals);
                if ($best === null || $reason->answer->hardness() < $best->answer->hardness()) {
                    $best = $reason;
                }
            }
        }

        return $best;
    }
}
