<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Caution;
use Core\Machine\OpeningRole;
use Core\Machine\Subject;

/** The steps by which one hole is opened and shut again. Each of them is there once, whoever asks for it. */
final readonly class OpeningSteps
{
    private const OIL = [Subject::EngineOil, Subject::GearOil, Subject::Hydraulics];

    public function __construct(private Draft $draft, private ServicedMachine $machine) {}

    /**
     * That it can be opened at all is known before anything runs out. What a hand lifts needs no proof.
     *
     * @return string|null its key
     */
    public function loosen(Opening $opening): ?string
    {
        if (! $opening->isThreaded()) {
            return null;
        }

        return $this->once(StepVerb::Loosen, $opening, self::sentence(
            'Loosen '.self::withTool($opening).($opening->has(OpeningRole::Level)
                ? ': without it nobody can tell when it is full'
                : ': if it will not open, nothing is drained'),
            $opening,
        ));
    }

    public function open(Opening $opening, string $because = ''): string
    {
        $count = $opening->sheet->loose === [] ? '' : '; count what comes off: '.implode(', ', $opening->sheet->loose);
        $verb = match (true) {
            $opening->isTap() => 'Pan under it; open the tap:',
            $opening->has(OpeningRole::Drain) => 'Pan under it; take out',
            $opening->isThreaded() => 'Take out',
            default => 'Take off',
        };
        $key = $this->once(
            StepVerb::Open,
            $opening,
            self::sentence("{$verb} ".self::withTool($opening)."{$because}{$count}", $opening),
            $opening->sheet->loose,
            cautions: $this->cautions($opening),
        );
        $this->draft->needs($key, StepVerb::CleanRound->at());
        $this->draft->waits($key, StepVerb::Loosen->at($opening->key));

        return $key;
    }

    /** Shut by hand, with its new seal and all that came off. */
    public function close(Opening $opening): string
    {
        $sheet = $opening->sheet;
        $with = $sheet->seal === '' ? '' : ", {$this->machine->schools->seal($sheet->seal)}";
        $count = $sheet->loose === [] ? '' : '; all back that came off: '.implode(', ', $sheet->loose);
        $sealant = $sheet->sealant === '' ? '' : "; its thread takes {$sheet->sealant}";
        $key = $this->once(StepVerb::Close, $opening, match (true) {
            $opening->isTap() => "Shut the tap: {$opening->name}. Handle home, dry below.",
            ! $opening->isThreaded() => "Put {$opening->name} back on{$with}{$count}.",
            $sheet->hole->magnet => "Wipe its magnet; start {$opening->name} by hand{$with}{$sealant}{$count}.",
            default => "Start {$opening->name} by hand{$with}{$sealant}{$count}.",
        }, $sheet->loose);
        $this->draft->onlyIf($key, StepVerb::Open->at($opening->key));

        return $key;
    }

    /** @param  Phase  $phase  when: at once, or when the level is right */
    public function tighten(Opening $opening, Phase $phase = Phase::Reach): void
    {
        if (! $opening->isThreaded() || $this->draft->has(StepVerb::Torque->at($opening->key))) {
            return;
        }
        $key = $this->once(StepVerb::Torque, $opening, self::tight($opening), phase: $phase);
        $this->draft->onlyIf($key, StepVerb::Close->at($opening->key));
        $this->draft->needs($key, StepVerb::Close->at($opening->key));
    }

    /** Opened, worked at or looked into, shut and tight again. */
    public function openAndShut(Opening $opening, string $because = ''): void
    {
        $this->open($opening, $because);
        $this->close($opening);
        $this->tighten($opening);
    }

    public static function tight(Opening $opening): string
    {
        return $opening->sheet->torque === ''
            ? "Tighten {$opening->name}: no torque is written down, so look it up; else snug plus an eighth of a turn, kept as by feel."
            : "Tighten {$opening->name} to {$opening->sheet->torque}.";
    }

    /** @return list<Caution> what can hurt whoever opens it */
    private function cautions(Opening $opening): array
    {
        $isLow = $opening->has(OpeningRole::Drain, OpeningRole::Strainer, OpeningRole::FilterCover);

        return match (true) {
            $opening->subject === Subject::Cooling => $opening->has(OpeningRole::Fill) ? [Caution::HotCoolant] : [],
            $opening->subject === Subject::Fuel => [Caution::Fuel],
            $opening->subject === Subject::Brakes => $opening->has(OpeningRole::Fill) ? [Caution::BrakeFluid] : [],
            $opening->subject === Subject::Battery => [Caution::BatteryAcid],
            $isLow && $opening->subject === Subject::Hydraulics => [Caution::HotOil, Caution::Pressure],
            $isLow && in_array($opening->subject, self::OIL, true) => [Caution::HotOil],
            default => [],
        };
    }

    /**
     * @param  list<string>  $pieces
     * @param  list<Caution>  $cautions
     */
    private function once(
        StepVerb $verb,
        Opening $opening,
        string $says,
        array $pieces = [],
        Phase $phase = Phase::Reach,
        array $cautions = [],
    ): string {
        $name = new StepKey($verb, $opening->key);

        return $this->draft->has((string) $name) ? (string) $name : $this->draft->step(
            $name,
            $says,
            new Workpiece($opening->key, pieces: $pieces),
            $phase,
            cautions: $cautions,
        );
    }

    private static function withTool(Opening $opening): string
    {
        return $opening->sheet->tool === '' ? $opening->name : "{$opening->name} ({$opening->sheet->tool})";
    }

    private static function sentence(string $says, Opening $opening): string
    {
        return implode('. ', array_filter([$says, rtrim($opening->hint, '.')])).'.';
    }
}
