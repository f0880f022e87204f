<?php

declare(strict_types=1);

namespace App\Logbook\Fluids;

use App\Contract\Problem;
use App\Contract\Refusal;
use App\Logbook\Acts\GivenAct;
use App\Logbook\Stock\Container;
use App\Logbook\Stock\Supply;
use App\Machines\Machine;
use App\Machines\Sheets;
use App\Machines\Spot;
use App\Notes\Circumstances;
use Brick\Math\BigRational;
use Core\Fluid\Answer;
use Core\Fluid\Condition;
use Core\Fluid\Seen;
use Core\Machine\ActKind;
use Core\Machine\CompartmentKind;
use Core\Machine\Verdict;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Supply\SupplyKind;

/**
 * The acts of something done to a compartment's fluid: the pour or the drain itself with what the fluid looked like,
 * and
 * a finding where that, or what was poured, is wrong.
 */
final readonly class FluidActs
{
    /** Over what a compartment holds at most: so much is asked about. Common practice, no source. */
    private const WELL_OVER = '11/10';

    public function __construct(private FluidFit $fit)
    {
    }

    /**
     * @param  Spot  $at  the compartment, or the drain through which it ran
     * @param  string  $uuid  of the act, as its device named it
     * @param  string  $path  before the names of the fields
     * @return non-empty-list<GivenAct> the act itself first
     *
     * @throws Refusal if the fluid will not do or more ran out than the compartment holds, and nobody said why
     */
    public function of(
        Machine $machine,
        Spot $at,
        ActKind $kind,
        GivenFluid $given,
        Circumstances $circumstances,
        string $uuid,
        ?string $replaces = null,
        string $path = '',
    ): array {
        $named = $at->parent ?? $at;
        $compartment = $named->holder ?? $named;
        $container = $given->container === null ? null : self::container($given, "{$path}container");
        $fluid = $container?->supply ?? self::fluid($given, "{$path}fluid");
        $amount = $given->amount === null ? null : Quantity::parse($given->amount, Unit::Litre);
        $isSure = trim((string) $circumstances->confirmedBecause) !== '';
        $wrong = $fluid === null || $kind === ActKind::Drained || $kind === ActKind::Sampled
            ? null
            : $this->wrong($machine, $compartment, $fluid);
        if ($wrong !== null && ! $isSure) {
            throw self::unlikely(
                "{$path}fluid",
                "{$fluid?->name} will not do for {$compartment->name}. {$wrong}",
                'Take another bottle. If it is in already, say so: it is written down, and found wrong.',
            );
        }
        if ($kind === ActKind::Drained && $amount !== null && ! $isSure) {
            $this->askWhereTooMuch($compartment, $amount, "{$path}amount");
        }
        $conditions = $given->seen === [] ? [] : Condition::of(
            $compartment->compartment ?? CompartmentKind::Engine,
            $given->seen,
            $given->firstService,
        );
        $act = new GivenAct(
            $at,
            $kind,
            $named->name,
            words: $conditions === [] ? null : self::seen($given->seen, $conditions),
            advice: $conditions[0]->do ?? null,
            typed: $given->seen === [] ? null : ['seen' => array_column($given->seen, 'value')],
            poured: $amount,
            pouredTyped: $given->amount,
            fluid: $fluid,
            container: $container,
            note: $circumstances->note,
            uuid: $uuid,
            replaces: $replaces,
        );
        $looks = isset($conditions[0]) && $conditions[0]->verdict !== Verdict::Fit
            ? [
                self::finding(
                    $compartment,
                    $conditions[0]->verdict,
                    (string) $act->words,
                    $conditions[0]->do,
                    'look',
                    $uuid,
                ),
            ]
            : [];
        $poured = $wrong === null
            ? []
            : [
                self::finding(
                    $compartment,
                    Verdict::Act,
                    "{$fluid?->name} was poured. {$wrong}",
                    'Drain it and fill what belongs there, before it is run long.',
                    'fluid',
                    $uuid,
                ),
            ];

        return [$act, ...$looks, ...$poured];
    }

    private static function fluid(GivenFluid $given, string $field): ?Supply
    {
        return $given->supply === null
            ? null
            : Supply::query()->where('kind', SupplyKind::Fluid)->find($given->supply)
            ?? throw Refusal::field($field, 'Nobody has written down such a fluid.');
    }

    private static function container(GivenFluid $given, string $field): Container
    {
        $container = Container::query()->standing()->with('supply')->find($given->container)
            ?? throw Refusal::field($field, 'There is no such container on the shelf.');
        if ($given->supply !== null && $given->supply !== $container->supply_id) {
            throw Refusal::field($field, "That container holds {$container->supply->name}.");
        }

        return $container;
    }

    private function wrong(Machine $machine, Spot $compartment, Supply $fluid): ?string
    {
        $judged = $this->fit->judge($fluid->bottle(), $machine, $compartment);

        return $judged->answer === Answer::No ? $judged->reasons[0]->why : null;
    }

    /** @throws Refusal */
    private function askWhereTooMuch(Spot $compartment, Quantity $amount, string $field): void
    {
        $most = Sheets::holds($compartment);
        if (
            $most !== null
            && $amount->si()->isGreaterThan($most->si()->multipliedBy(BigRational::of(self::WELL_OVER)))
        ) {
            throw self::unlikely(
                $field,
                "{$amount->display()} came out, and {$compartment->name} holds {$most->display()}. Is there water or fuel in it?",
                'If that is what came out, say why it is right: it is written down.',
            );
        }
    }

    private static function unlikely(string $field, string $why, string $do): Refusal
    {
        return new Refusal(new Problem(409, 'unlikely', 'Can this be right?', "{$why} {$do}", [$field => [$why]]));
    }

    /**
     * @param  list<Seen>  $seen
     * @param  list<Condition>  $conditions
     */
    private static function seen(array $seen, array $conditions): string
    {
        return ucfirst(implode(', ', array_map(fn (Seen $one): string => $one->label(), $seen))).': '
            .implode('; ', array_column($conditions, 'reading')).'.';
    }

    /** @param  string  $of  what tells two findings of one act apart */
    private static function finding(
        Spot $compartment,
        Verdict $verdict,
        string $words,
        string $do,
        string $of,
        string $uuid,
    ): GivenAct {
        return new GivenAct(
            $compartment,
            ActKind::Looked,
            $compartment->name,
            check: "own-{$of}-".substr(str_replace('-', '', $uuid), 0, 24),
            verdict: $verdict,
            words: $words,
            advice: $do,
            with: $uuid,
        );
    }
}
