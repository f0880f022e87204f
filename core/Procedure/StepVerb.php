<?php

declare(strict_types=1);

namespace Core\Procedure;

/** What is done in one step of a service, told apart finely enough to name it: a plug shut for good is not one shut again after a reading. */
enum StepVerb: string
{
    case Secure = 'secure';
    case Warm = 'warm';
    case CleanRound = 'clean_round';
    case Raise = 'raise';
    case Lower = 'lower';
    case Undo = 'undo';
    case Couple = 'couple';
    case ShutOff = 'shut_off';
    case TurnOn = 'turn_on';
    case Cool = 'cool';
    case Loosen = 'loosen';
    case Open = 'open';
    case TurnLow = 'turn_low';
    case TurnLevel = 'turn_level';
    case Drain = 'drain';
    /** Out through an opening above, by a pump or a syringe. */
    case Suck = 'suck';
    case WhatRanOut = 'what_ran_out';
    /** A box is vacuumed before it is opened. */
    case Vacuum = 'vacuum';
    /** How it sits is drawn, marked or photographed. */
    case Mark = 'mark';
    case Slacken = 'slacken';
    case Remove = 'remove';
    case Look = 'look';
    case CountOff = 'count_off';
    case Compare = 'compare';
    case Clean = 'clean';
    case Prefill = 'prefill';
    case Fit = 'fit';
    case CountOn = 'count_on';
    case LookOver = 'look_over';
    case Close = 'close';
    case Torque = 'torque';
    case Balance = 'balance';
    case TurnByHand = 'turn_by_hand';
    case Pour = 'pour';
    /** With what was filled, all at once. */
    case Run = 'run';
    /** While one level is read. */
    case Idle = 'idle';
    /** The machine's own exercise. */
    case RunLoaded = 'run_loaded';
    case Purge = 'purge';
    case BleedOpen = 'bleed_open';
    case BleedShut = 'bleed_shut';
    /** By the pedal, at one wheel. */
    case Bleed = 'bleed';
    case Pedal = 'pedal';
    case Wait = 'wait';
    case Reopen = 'reopen';
    case Read = 'read';
    case TopUp = 'top_up';
    case Reshut = 'reshut';
    case Inspect = 'inspect';
    case Measure = 'measure';
    case Adjust = 'adjust';
    case MeasureAgain = 'measure_again';
    /** What a licensed trade does. */
    case Licensed = 'licensed';
    case Lubricate = 'lubricate';
    case Sample = 'sample';
    case Leaks = 'leaks';
    case TryOut = 'try';
    case LeaksAgain = 'leaks_again';
    case Label = 'label';
    case Reset = 'reset';

    /**
     * The key of the step in which it is done.
     *
     * @param  string  $place  the key of a spot, or what is undone; empty where it is done once for the whole service
     * @param  string  $which  by which check
     */
    public function at(string $place = '', string $which = ''): string
    {
        return implode(':', array_filter([$this->value, $place, $which], fn (string $part): bool => $part !== ''));
    }

    public function act(): StepAct
    {
        return match ($this) {
            self::CleanRound, self::Vacuum => StepAct::Clean,
            self::Undo, self::Slacken => StepAct::Loosen,
            self::ShutOff, self::Reshut, self::BleedShut => StepAct::Close,
            self::TurnOn, self::Reopen, self::BleedOpen => StepAct::Open,
            self::Suck => StepAct::Drain,
            self::Bleed => StepAct::Purge,
            self::Cool => StepAct::Wait,
            self::TurnLow, self::TurnLevel => StepAct::Adjust,
            self::WhatRanOut, self::CountOff, self::CountOn, self::LookOver, self::Inspect, self::Sample,
            self::Mark, self::Balance, self::TurnByHand, self::Pedal, self::Licensed => StepAct::Look,
            self::Idle, self::RunLoaded, self::TryOut => StepAct::Run,
            self::MeasureAgain => StepAct::Measure,
            self::Leaks, self::LeaksAgain => StepAct::CheckLeaks,
            default => StepAct::from($this->value),
        };
    }

    /** Whether somebody's hands are at it. */
    public function isAttended(): bool
    {
        return ! in_array($this, [self::Warm, self::Cool, self::Drain, self::Run, self::Idle, self::Wait], true);
    }

    /** Whether it goes on by itself as soon as what comes before it is done, and ends by itself. */
    public function takesItsTime(): bool
    {
        return in_array($this, [self::Drain, self::Wait, self::Cool], true);
    }

    /** Whether the engine, or what it drives, turns meanwhile: nobody reaches in. */
    public function turns(): bool
    {
        return in_array($this, [self::Warm, self::Run, self::Idle, self::RunLoaded, self::Purge, self::TryOut], true);
    }

    /** What stands over the step. */
    public function title(string $name): string
    {
        return match ($this) {
            self::CleanRound => 'Clean round what is opened',
            self::Undo => "Undo: {$name}",
            self::Couple => "Put back: {$name}",
            self::Suck => "Suck it out: {$name}",
            self::Vacuum => "Vacuum round it: {$name}",
            self::Mark => "Mark how it sits: {$name}",
            self::Slacken => "Slacken: {$name}",
            self::Balance => "Balance: {$name}",
            self::TurnByHand => "Turn it by hand: {$name}",
            self::BleedOpen => "Open the bleed screw: {$name}",
            self::BleedShut => "Shut the bleed screw: {$name}",
            self::Bleed => "Bleed: {$name}",
            self::Pedal => 'Try the pedal, standing',
            self::Licensed => "For a licensed trade: {$name}",
            self::ShutOff => "Shut off: {$name}",
            self::TurnOn => "Turn on again: {$name}",
            self::CountOff, self::CountOn => "Count the pieces: {$name}",
            self::LookOver => "Look it over: {$name}",
            self::TryOut => 'Try it out',
            self::LeaksAgain => 'Look for leaks again',
            default => $this->act()->title($name),
        };
    }
}
