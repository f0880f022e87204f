<?php

declare(strict_types=1);

namespace App\Logbook\Told;

use App\Contract\Refusal;
use App\Logbook\Fluids\GivenFluid;
use App\Machines\Spot;
use Core\Machine\ActKind;
use Illuminate\Validation\Rule;

/** What was done at a spot, chosen by its kind: as a form, a line of words or a paste tells of it. */
final class DoneAt
{
    /**
     * @param  string  $path  before each field's name, as in `other.*.`
     * @return array<string, array<mixed>>
     */
    public static function rules(string $path): array
    {
        return [
            "{$path}spot" => ['required', 'string', 'max:40'],
            "{$path}act" => ['required', Rule::enum(ActKind::class)],
            "{$path}words" => ['sometimes', 'nullable', 'string', 'max:200'],
            ...GivenFluid::rules($path),
            ...Greased::rules($path),
            ...Fastening::rules($path),
        ];
    }

    /**
     * @param  array<string, mixed>  $given  as {@see self::rules()} validates it
     *
     * @throws Refusal if that is not done at such a spot, or a fluid or container is none
     */
    public static function told(Spot $spot, ActKind $kind, array $given = [], Telling $telling = new Telling): Told
    {
        if (! in_array($kind, ActKind::at($spot->kind), true)) {
            throw Refusal::field($telling->field('act'), "{$spot->name} is not {$kind->word()}.");
        }
        $fluid = GivenFluid::of($given);
        if ($fluid->amount !== null && ! $kind->movesFluid() && $kind !== ActKind::Sampled) {
            throw Refusal::field($telling->field('amount'), 'Only what is poured or drained has an amount.');
        }
        $words = $given['words'] ?? null;

        return match ($kind) {
            ActKind::ToppedUp, ActKind::Filled, ActKind::Changed => Poured::of($spot, $kind, $fluid, $telling),
            ActKind::Drained, ActKind::Sampled => Drained::of($spot, $kind, $fluid, $telling),
            ActKind::Lubricated => Greased::of($spot, $given, $telling),
            ActKind::Replaced => new Replaced($spot, Fastening::of($given), $words, $telling),
            ActKind::Closed => new Closed($spot, Fastening::of($given), $words, $telling),
            ActKind::Looked, ActKind::Measured, ActKind::Cleaned, ActKind::Adjusted, ActKind::Ran => new Serviced($spot, $kind, words: $words, telling: $telling),
        };
    }
}
