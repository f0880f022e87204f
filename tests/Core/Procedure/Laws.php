<?php

declare(strict_types=1);

namespace Tests\Core\Procedure;

use Core\Fluid\Sheet\DrainWay;
use Core\Machine\Caution;
use Core\Machine\OpeningRole;
use Core\Measure\Quantity;
use Core\Procedure\Circuit;
use Core\Procedure\Guard;
use Core\Procedure\LevelReading;
use Core\Procedure\PartTask;
use Core\Procedure\Scope;
use Core\Procedure\Step;
use Core\Procedure\StepAct;
use Core\Procedure\StepKey;
use Core\Procedure\StepVerb;
use Core\Supply\PartKind;
use PHPUnit\Framework\Assert;

/** The laws of a plan, whatever the machine: each of them read off the steps alone, and what is wrong named. */
final readonly class Laws
{
    private const EMPTIES = [StepVerb::WhatRanOut, StepVerb::Clean, StepVerb::Suck];

    /** What may be done before a drain of what was warmed is opened. */
    private const BEFORE_DRAINING = [
        StepVerb::Secure, StepVerb::Read, StepVerb::TopUp, StepVerb::Warm, StepVerb::CleanRound, StepVerb::Undo, StepVerb::Cool,
        StepVerb::Loosen, StepVerb::Open, StepVerb::ShutOff,
    ];

    /** Bolts, a nut or a thread hold these: finger-tight is not on. */
    private const BOLTED = [PartKind::Blade, PartKind::Wheel, PartKind::Pads, PartKind::VBelt, PartKind::CvtBelt, PartKind::Cartridge, PartKind::Canister, PartKind::Impeller, PartKind::Breather];

    private function __construct(private Plan $plan, private string $name) {}

    public static function hold(Plan $plan, string $name): void
    {
        $laws = new self($plan, $name);
        $laws->pouredIsEmptiedAndEmptiedIsPoured();
        $laws->nothingRunsDry();
        $laws->openedIsClosedAndTightened();
        $laws->whatCanHurtIsAPair();
        $laws->offAndOnAreOneBlock();
        $laws->warmedIsDrainedFirst();
        $laws->whatLiesOverComesOffFirst();
        $laws->oneHoleIsOneSpot();
        $laws->looksAreLooks();
        $laws->whatComesStandsOnTheStep();
        $laws->wordsFitTheMachine();
        $laws->cautionsStandOnce();
        $laws->waitsHold();
    }

    /** Law 1. */
    private function pouredIsEmptiedAndEmptiedIsPoured(): void
    {
        foreach ($this->plan->scope->changed as $circuit) {
            $pour = StepVerb::Pour->at($circuit->key);
            $this->there($pour, 'changed is poured');
            foreach ($circuit->housings as $housing) {
                $own = [$housing->key, ...array_column($housing->openings, 'key'), ...array_column(array_filter(
                    $this->plan->scope->partsIn($circuit),
                    fn ($part): bool => $part->in === $housing->key,
                ), 'key')];
                $emptied = array_filter($this->plan->by(...self::EMPTIES), fn (Step $step): bool => in_array($step->on->at, $own, true));
                $this->true($emptied !== [], "{$housing->key} is emptied");
                foreach ($emptied as $step) {
                    $this->true($step->verb === StepVerb::Clean || $this->plan->stands($step->key, $pour), "{$step->key}, then {$pour}");
                }
            }
            $amounts = array_filter(array_map(
                fn (Step $step): ?Quantity => $step->on->at === $circuit->key ? $step->on->amount : null,
                $this->plan->by(StepVerb::Pour),
            ));
            $sum = array_reduce($amounts, fn (?Quantity $sum, Quantity $one): Quantity => $sum?->plus($one) ?? $one);
            $most = $circuit->holder->capacity?->most;
            $this->true($most === null ? $sum === null : $sum?->compareTo($most) === 0, "{$pour}: what is poured is what it takes");
        }
        foreach ($this->plan->by(StepVerb::Drain, StepVerb::Suck) as $out) {
            $this->there(StepVerb::Pour->at($this->circuitAt($out->on->at)->key), "{$out->key} is filled again");
        }
    }

    /** Law 2. */
    private function nothingRunsDry(): void
    {
        foreach ($this->plan->turning() as $turning) {
            foreach ($this->plan->by(StepVerb::Pour) as $pour) {
                $this->inOrder($pour->key, $turning->key);
            }
            foreach ($this->plan->scope->changed as $circuit) {
                $reading = LevelReading::of($circuit, false);
                $isReadStanding = in_array($reading, [LevelReading::AtThePour, LevelReading::Standing], true);
                $read = StepVerb::Read->at($circuit->key);
                if ($isReadStanding && $this->plan->has($read) && ! $this->plan->scope->drinks($circuit)) {
                    $this->inOrder($read, $turning->key);
                }
            }
        }
        foreach ($this->plan->scope->caught() as $circuit) {
            $this->there(StepVerb::Pour->at($circuit->key), 'what was caught goes back');
        }
    }

    /** Law 3. */
    private function openedIsClosedAndTightened(): void
    {
        foreach ($this->plan->steps as $step) {
            $shut = match ($step->verb) {
                StepVerb::Open => StepVerb::Close->at($step->on->at),
                StepVerb::Reopen => StepVerb::Reshut->at($step->on->at),
                StepVerb::BleedOpen => StepVerb::BleedShut->at($step->on->at),
                StepVerb::Undo => StepVerb::Couple->at(StepKey::read($step->key)->place),
                StepVerb::ShutOff => StepVerb::TurnOn->at($step->on->at),
                StepVerb::Remove => StepVerb::Fit->at($step->on->at),
                StepVerb::Bleed => StepVerb::Torque->at($step->on->at),
                StepVerb::Raise => StepVerb::Lower->at(),
                default => null,
            };
            if ($shut === null) {
                continue;
            }
            $this->inOrder($step->key, $shut);
            $this->true(in_array($step->key, $this->plan->steps[$shut]->bonds->onlyIf, true), "{$shut} hangs on {$step->key}");
            foreach ($this->plan->turning() as $turning) {
                if ($this->plan->stands($step->key, $turning->key) && ! $this->staysOpenFor($step, $turning)) {
                    $this->inOrder($shut, $turning->key);
                }
            }
            $opening = $this->plan->opening($step->on->at);
            if ($step->verb === StepVerb::Open && $opening?->isThreaded() === true) {
                $torque = StepVerb::Torque->at($opening->key);
                $this->inOrder($shut, $torque);
                $this->inOrder($torque, StepVerb::TryOut->at());
            }
        }
        foreach ($this->plan->scope->parts as $key => $part) {
            if (in_array($part->kind, self::BOLTED, true) && $this->plan->has(StepVerb::Fit->at((string) $key))) {
                $this->inOrder(StepVerb::Fit->at((string) $key), StepVerb::Torque->at((string) $key));
            }
        }
        foreach ($this->plan->by(StepVerb::Torque) as $torque) {
            $this->true(preg_match('/ to \d|look it up|look its torque up/', $torque->says) === 1, "{$torque->key} says how tight: {$torque->says}");
        }
    }

    /** A cap stays off for the purge at which air goes out there; wheels turn off the ground. */
    private function staysOpenFor(Step $opened, Step $turning): bool
    {
        // The engine has to run for any of them.
        $isOwnCap = $turning->verb === StepVerb::Purge
            && $this->plan->opening($opened->on->at)?->isThreaded() === false
            && $this->plan->has(StepVerb::Purge->at($this->circuitAt($opened->on->at)->key));
        $isOffTheGround = $opened->verb === StepVerb::Raise && $turning->verb === StepVerb::Purge;
        $isForTheWholeService = in_array(StepKey::read($opened->key)->place, [Guard::Starting->value, Guard::RunTow->value], true);
        $isBled = $opened->verb === StepVerb::BleedOpen && $turning->key === StepVerb::Purge->at($opened->on->at);

        return $isOwnCap || $isOffTheGround || $isForTheWholeService || $isBled;
    }

    /** Law 4. */
    private function whatCanHurtIsAPair(): void
    {
        foreach ($this->plan->by(StepVerb::Undo, StepVerb::Couple, StepVerb::Raise, StepVerb::Lower, StepVerb::ShutOff, StepVerb::BleedOpen) as $step) {
            $this->there($step->bonds->pair, "{$step->key} has its other half");
            Assert::assertSame($step->key, $this->plan->steps[$step->bonds->pair]->bonds->pair);
        }
        $guard = Guard::of($this->plan->machine);
        $off = StepVerb::Undo->at($guard->value);
        $hands = array_filter($this->plan->steps, fn (Step $step): bool => in_array(Caution::Blades, $step->cautions, true)
            || ($guard->isForTheWholeService() && in_array($step->verb, [StepVerb::Open, StepVerb::Remove, StepVerb::Adjust, StepVerb::Lubricate], true)));
        foreach ($hands as $step) {
            $this->inOrder($off, $step->key);
        }
        $fuel = $this->fuelIsOpen();
        foreach ($this->posts() as [$undo, $couple]) {
            foreach ($fuel as $step) {
                $isOutside = ($this->plan->stands($undo, $step) && $this->plan->stands($step, $couple)) || $this->plan->stands($step, $undo);
                $this->true($isOutside, "{$undo} and {$couple} stay away from {$step}");
            }
        }
    }

    /** @return list<string> */
    private function fuelIsOpen(): array
    {
        $open = [];
        foreach ($this->plan->scope->circuits as $circuit) {
            foreach ($circuit->holder->isFuel() ? $this->plan->places($circuit) : [] as $place) {
                $open = [...$open, ...array_filter([StepVerb::Remove->at($place), StepVerb::Fit->at($place)], $this->plan->has(...))];
            }
        }

        return $open;
    }

    /** @return list<array{string, string}> */
    private function posts(): array
    {
        $posts = [];
        foreach ($this->plan->by(StepVerb::Undo) as $undo) {
            $place = StepKey::read($undo->key)->place;
            if ($place === Guard::BatteryNegative->value || ($this->plan->scope->parts[$place] ?? null)?->kind === PartKind::Battery) {
                $posts[] = [$undo->key, $undo->bonds->pair];
            }
        }

        return $posts;
    }

    /** Law 5. */
    private function offAndOnAreOneBlock(): void
    {
        $blocks = [];
        foreach ($this->plan->steps as $step) {
            if ($step->bonds->block !== '') {
                $blocks[$step->bonds->block][] = $step->key;
            }
        }
        foreach ($this->plan->by(StepVerb::Remove) as $remove) {
            $fit = $this->plan->steps[StepVerb::Fit->at($remove->on->at)];
            $drips = $this->plan->has(StepVerb::Drain->at($remove->on->at));
            $this->true($drips || ($remove->bonds->block !== '' && $remove->bonds->block === $fit->bonds->block), "{$remove->key} and {$fit->key} are one block");
        }
        foreach ($blocks as $block => $members) {
            foreach ($this->plan->steps as $step) {
                if ($step->bonds->block === (string) $block) {
                    continue;
                }
                $isAfter = array_filter($members, fn (string $member): bool => $this->plan->stands($member, $step->key)) !== [];
                $isBefore = array_filter($members, fn (string $member): bool => $this->plan->stands($step->key, $member)) !== [];
                $isOfThatHousing = $step->place === $this->plan->steps[$members[0]]->place;
                $this->true(! $isAfter || ! $isBefore || $isOfThatHousing, "{$step->key} comes between the steps of {$block}");
            }
        }
    }

    /** Law 6. */
    private function warmedIsDrainedFirst(): void
    {
        $warm = $this->plan->steps[StepVerb::Warm->at()] ?? null;
        foreach ($this->plan->scope->changed as $circuit) {
            $isWarmed = $warm !== null && array_intersect(array_column($circuit->housings, 'key'), $warm->on->covers) !== [];
            $isByHub = array_filter($circuit->housings, fn ($housing): bool => $housing->drainWay() === DrainWay::Hub) !== [];
            if (! $isWarmed || $isByHub) {
                continue;
            }
            foreach ($circuit->openings(OpeningRole::Drain) as $drain) {
                foreach (array_keys($this->plan->before[StepVerb::Open->at($drain->key)] ?? []) as $before) {
                    $this->true(in_array($this->plan->steps[$before]->verb, self::BEFORE_DRAINING, true), "{$before} stands before open:{$drain->key}, which was warmed");
                }
            }
        }
    }

    /** Law 7. */
    private function whatLiesOverComesOffFirst(): void
    {
        foreach ($this->plan->scope->parts as $key => $part) {
            foreach (Scope::over($part, $this->plan->scope->parts) as $over) {
                if ($this->plan->has(StepVerb::Remove->at((string) $key)) && $this->plan->has(StepVerb::Remove->at($over->key))) {
                    $this->inOrder(StepVerb::Remove->at($over->key), StepVerb::Remove->at((string) $key));
                    $this->inOrder(StepVerb::Fit->at((string) $key), StepVerb::Fit->at($over->key));
                }
            }
        }
    }

    /** Law 8. */
    private function oneHoleIsOneSpot(): void
    {
        foreach ($this->plan->by(StepVerb::Loosen) as $loosen) {
            $this->true($this->plan->opening($loosen->on->at)?->isThreaded() === true, "{$loosen->key}: a cap is lifted, never loosened");
        }
    }

    /** Law 10. */
    private function looksAreLooks(): void
    {
        foreach ($this->plan->by(StepVerb::Leaks) as $leaks) {
            $this->true(str_contains($leaks->says, 'Dry is fine') && str_contains($leaks->says, 'weeps'), 'leaks: what fine is, and what else');
        }
    }

    /** Law 11. */
    private function whatComesStandsOnTheStep(): void
    {
        foreach ($this->plan->scope->changed as $circuit) {
            $most = $circuit->holder->capacity?->most;
            $drains = array_filter($this->plan->by(StepVerb::Open), fn (Step $step): bool => $this->plan->opening($step->on->at)?->has(OpeningRole::Drain) === true
                && in_array($step->on->at, $circuit->places(), true));
            if ($most !== null && $drains !== []) {
                $this->true(array_filter($drains, fn (Step $step): bool => str_contains($step->says, $most->inWords())) !== [], "what comes of {$circuit->key} stands at its drain");
            }
        }
        foreach ($this->plan->scope->parts as $key => $part) {
            $isLabelled = $part->isFilter() && $part->kind !== PartKind::AirElement && $this->plan->scope->tasks[$key] === PartTask::Renew;
            if ($isLabelled) {
                $this->inOrder(StepVerb::Label->at((string) $key), StepVerb::Fit->at((string) $key));
            }
        }
    }

    /** Law 12. */
    private function wordsFitTheMachine(): void
    {
        $wrong = match (true) {
            $this->plan->machine->stands() => '/\b(wheels?|brakes?|implement|drive it)\b/i',
            $this->plan->machine->isElectric() => '/\b(engine off|oil pressure|start it and let it idle)\b/i',
            default => null,
        };
        foreach ($wrong === null ? [] : $this->plan->steps as $step) {
            $isOfTheFrame = in_array($step->verb, [StepVerb::Secure, StepVerb::Warm, StepVerb::Run, StepVerb::TryOut, StepVerb::Leaks, StepVerb::LeaksAgain], true);
            $this->true(! $isOfTheFrame || preg_match($wrong, $step->says) === 0, "{$step->key}: {$step->says}");
        }
        foreach ($this->plan->scope->parts as $key => $part) {
            $fit = $this->plan->steps[StepVerb::Fit->at((string) $key)] ?? null;
            $this->true($fit === null || $part->kind !== PartKind::InLine || ! str_contains($fit->says, 'gasket'), "{$key} has no gasket");
        }
    }

    /** Law 13. */
    private function cautionsStandOnce(): void
    {
        $seen = [];
        foreach ($this->plan->steps as $step) {
            foreach ($step->cautions as $caution) {
                $this->true(! isset($seen[$caution->value][$step->on->at]) || $caution->everyTime() || in_array($step->verb, [StepVerb::Reopen, StepVerb::BleedOpen], true), "{$caution->value} stands at {$step->on->at} twice");
                $seen[$caution->value][$step->on->at] = true;
            }
        }
        foreach ($seen[Caution::HotOil->value] ?? [] as $at => $_) {
            $opens = array_filter([StepVerb::Open, StepVerb::Reopen, StepVerb::Remove], fn (StepVerb $verb): bool => $this->plan->has($verb->at((string) $at)));
            $this->true($opens !== [], "hot oil at {$at}, where nothing is opened");
        }
    }

    /** What a step hangs on stands before it, and the reminder is last. */
    private function waitsHold(): void
    {
        foreach ($this->plan->steps as $step) {
            foreach ([...$step->bonds->needs, ...$step->bonds->shut, ...$step->bonds->onlyIf] as $key) {
                $this->inOrder($key, $step->key);
            }
            if ($step->key !== StepVerb::Reset->at()) {
                $this->inOrder($step->key, StepVerb::Reset->at());
            }
            if ($step->act === StepAct::Read && $this->plan->has(StepVerb::Wait->at($step->on->at))) {
                $this->inOrder(StepVerb::Wait->at($step->on->at), $step->key);
            }
        }
    }

    private function circuitAt(string $place): Circuit
    {
        foreach ($this->plan->scope->circuits as $circuit) {
            if (in_array($place, $this->plan->places($circuit), true)) {
                return $circuit;
            }
        }
        Assert::fail("{$this->name}: {$place} belongs to no circuit");
    }

    private function there(string $key, string $rule): void
    {
        $this->true($this->plan->has($key), "{$rule}: there is no {$key}");
    }

    private function inOrder(string $first, string $then): void
    {
        $this->true($this->plan->stands($first, $then), "{$first}, then {$then}");
    }

    private function true(bool $holds, string $rule): void
    {
        // Millions of times: a message is made only where it is needed.
        $holds || Assert::fail("{$this->name}: {$rule}");
    }
}
