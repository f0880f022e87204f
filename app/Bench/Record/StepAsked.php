<?php

declare(strict_types=1);

namespace App\Bench\Record;

use App\Bench\Job;
use App\Bench\Plan\PlannedStep;
use App\Bench\StepTold;
use App\Contract\Input\TypedVolume;
use App\Contract\Problem;
use App\Contract\Refusal;
use App\Logbook\Fluids\FluidFit;
use App\Logbook\Stock\Container;
use App\Machines\CheckLists;
use App\Machines\Spot;
use App\Machines\Yard;
use App\Notes\Note;
use Core\Fluid\Seen;
use Core\Fluid\Suitability;
use Core\Form\BadInput;
use Core\Inspect\Occasion;
use Core\Machine\Caution;
use Core\Machine\Verdict;
use Core\Measure\Quantity;
use Core\Measure\TooMuch;
use Core\Measure\Unit;
use Core\Procedure\Did;
use Core\Procedure\Step;
use Core\Procedure\StepKey;
use Illuminate\Validation\Rule;

/** What a step asks of whoever does it, and whether it was said. */
final readonly class StepAsked
{
    private const MOST_MILLILITRES = 400_000;

    public function __construct(private CheckLists $checkLists, private FluidFit $fit, private Yard $yard) {}

    /** @return array<string, array<mixed>> */
    public static function rules(): array
    {
        return [
            'because' => ['sometimes', 'nullable', 'string', 'max:500'],
            'ml' => ['sometimes', 'nullable', 'integer', 'between:1,'.self::MOST_MILLILITRES],
            'container' => ['sometimes', 'nullable', 'integer'],
            'amount' => ['sometimes', 'nullable', 'string', 'max:40', new TypedVolume],
            'seen' => ['sometimes', 'array', 'list', 'max:14'],
            'seen.*' => ['distinct', Rule::enum(Seen::class)],
            'level' => ['sometimes', 'nullable', 'integer', 'between:-4,40'],
            'answers' => ['sometimes', 'array:slope,held,engine,temperature'],
            'answers.*' => ['string', 'max:20'],
            'number' => ['sometimes', 'nullable', 'string', 'max:60'],
            'found' => ['sometimes', 'nullable', 'string', 'max:160'],
            'reused' => ['sometimes', 'boolean'],
            'by_feel' => ['sometimes', 'boolean'],
            'wrench' => ['sometimes', 'nullable', 'string', 'max:40'],
            'strokes' => ['sometimes', 'nullable', 'integer', 'between:0,200'],
            'went_in' => ['sometimes', 'boolean'],
            'verdict' => ['sometimes', 'nullable', Rule::enum(Verdict::class)],
            'words' => ['sometimes', 'nullable', 'string', 'max:200'],
            'values' => ['sometimes', 'array', 'max:20'],
            'rule' => ['sometimes', 'nullable', 'integer'],
            'cautions' => ['sometimes', 'array', 'list', 'max:20'],
            'cautions.*' => ['distinct', Rule::enum(Caution::class)],
        ];
    }

    /** @return array<string, string> */
    public static function messages(): array
    {
        return [
            'ml.between' => 'Say how much, in millilitres: at least 1, at most '.self::MOST_MILLILITRES.'.',
            'level.between' => 'A level is read from four twentieths below the add mark to twice the band.',
        ];
    }

    /** @throws Refusal if something that the step asks is not said, or is no reading */
    public function done(Job $job, Step $step, Note $note): void
    {
        $asks = PlannedStep::kept($job->plan, $step->key)['asks'] ?? null;
        match ($asks['kind'] ?? '') {
            'level' => $this->level($asks, $note),
            'pour' => ($asks['renews'] ?? true) ? self::refuseUnpoured($job, $step) : null,
            'prefill' => self::refuseUnpoured($job, $step),
            'measured' => $this->measured($job, $asks['check']['key'], $note),
            'judged' => self::judged($note),
            'tightened' => self::tightened(PlannedStep::kept($job->plan, $step->key)['torque']['settings'] ?? [], $note),
            default => null,
        };
    }

    /** @throws Refusal if it is more than the place holds, or will not do there, and nobody said why it is right */
    public function poured(Job $job, Step $step, Note $note): void
    {
        $asks = PlannedStep::kept($job->plan, $step->key)['asks'] ?? [];
        if (! in_array($asks['kind'] ?? '', ['pour', 'prefill', 'top_up', 'added'], true)) {
            throw Refusal::field('did', 'Nothing is poured at that step.');
        }
        if (! isset($note->given['ml'])) {
            throw Refusal::field('ml', 'Say how much went in.');
        }
        $isAsked = $note->circumstances->isAttended && ! $note->circumstances->isSure();
        $container = isset($note->given['container'])
            ? Container::query()->standing()->with('supply')->find((int) $note->given['container'])
                ?? throw Refusal::field('container', 'There is no such container on the shelf.')
            : null;
        $compartment = Spot::query()->where(['machine_id' => $job->machine_id, 'key' => $this->compartment($job, $step)])->with('sheet')->first();
        $isWater = StepKey::read($step->key)->which === StepKey::WATER;
        if ($compartment !== null && $container !== null && $isAsked && ! $isWater) {
            $judged = $this->fit->judge($container->supply->bottle(), $job->machine, $compartment);
            if ($judged->answer === Suitability::No) {
                throw self::unlikely('container', "{$container->supply->name} will not do for {$compartment->name}. {$judged->reasons[0]->why}");
            }
        }
        $holds = $asks['holds_ml'] ?? null;
        $sum = self::sum($job, $step) + (int) $note->given['ml'];
        $tooMuch = $holds === null ? null : TooMuch::poured(
            Quantity::of($sum, Unit::Millilitre),
            $compartment->name ?? 'compartment',
            Quantity::of($holds, Unit::Millilitre),
        );
        if ($isAsked && $tooMuch !== null) {
            throw self::unlikely('ml', $tooMuch);
        }
    }

    /** The compartment that is filled at a step: what it is done to, or what its part sits in. */
    public function compartment(Job $job, Step $step): string
    {
        $at = Spot::query()->where(['machine_id' => $job->machine_id, 'key' => $step->on->at])->with('parent.holder', 'holder')->first();
        $own = $at?->role === null && $at?->compartment === null ? $at?->parent : $at;

        return $own->holder->key ?? $own->key ?? $step->on->at;
    }

    /** @param  array<string, mixed>  $asks */
    private function level(array $asks, Note $note): void
    {
        foreach ($asks['questions'] as $question) {
            $answer = $note->given['answers'][$question['name']] ?? null;
            $option = array_column($question['options'], null, 'value')[$answer ?? ''] ?? null;
            if ($option === null) {
                throw Refusal::field("answers.{$question['name']}", $question['asks']);
            }
            if ($option['wrong'] !== '') {
                throw Refusal::field("answers.{$question['name']}", "That is no reading. {$option['wrong']}");
            }
        }
        if (! in_array($note->given['level'] ?? null, array_column($asks['rows'], 'level'), true)) {
            throw Refusal::field('level', 'Say where it stands.');
        }
    }

    private static function refuseUnpoured(Job $job, Step $step): void
    {
        if (self::sum($job, $step) === 0) {
            throw Refusal::field('ml', 'Say how much went in.');
        }
    }

    private static function sum(Job $job, Step $step): int
    {
        return (int) $job->told->where('step', $step->key)->where('did', Did::Poured)
            ->sum(fn (StepTold $told): int => (int) ($told->said['ml'] ?? 0));
    }

    /** @throws BadInput */
    private function measured(Job $job, string $key, Note $note): void
    {
        $check = $this->checkLists->find($job->machine, $key)
            ?? throw Refusal::field('step', 'Nothing of that name is measured on this machine any more.');
        $values = $note->given['values'] ?? [];
        // What it undid has a step of its own in which it is done up.
        $check->judge(
            $values,
            new Occasion($this->yard->dayOf($note->circumstances->when->at), $this->yard->coldestNight()),
        );
    }

    /**
     * @param  list<array{name: string, setting: string, verdict: string, warnings: list<string>}>  $settings
     *
     * @throws Refusal if the wrench cannot be set to it
     */
    private static function tightened(array $settings, Note $note): void
    {
        $set = array_column($settings, null, 'name')[$note->given['wrench'] ?? ''] ?? null;
        if ($set !== null && $set['verdict'] !== Verdict::Fit->value && ! ($note->given['by_feel'] ?? false)) {
            throw Refusal::field('wrench', implode(' ', $set['warnings']) ?: "{$set['name']} cannot be set to it.");
        }
    }

    private static function judged(Note $note): void
    {
        if (! isset($note->given['verdict'])) {
            throw Refusal::field('verdict', 'Say whether it is fine.');
        }
    }

    private static function unlikely(string $field, string $why): Refusal
    {
        return new Refusal(new Problem(409, 'unlikely', 'Can this be right?', "{$why} If it is in already, say why: it is written down.", [$field => [$why]]));
    }
}
