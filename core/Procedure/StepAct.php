<?php

declare(strict_types=1);

namespace Core\Procedure;

/** What is done in one step of a service. */
enum StepAct: string
{
    case Secure = 'secure';
    case Warm = 'warm';
    case Raise = 'raise';
    case Lower = 'lower';
    case Clean = 'clean';
    case Loosen = 'loosen';
    case Open = 'open';
    case Drain = 'drain';
    case Look = 'look';
    case Remove = 'remove';
    case Compare = 'compare';
    case Prefill = 'prefill';
    case Fit = 'fit';
    case Close = 'close';
    case Pour = 'pour';
    case Run = 'run';
    case Wait = 'wait';
    case Read = 'read';
    case TopUp = 'top_up';
    case Purge = 'purge';
    case Torque = 'torque';
    case CheckLeaks = 'check_leaks';
    case Measure = 'measure';
    case Adjust = 'adjust';
    case Lubricate = 'lubricate';
    case Couple = 'couple';
    case Label = 'label';
    case Reset = 'reset';

    /** Whole minutes that hands are at it. Common practice, no source. */
    public function minutes(): int
    {
        return match ($this) {
            self::Remove, self::Fit => 4,
            self::Secure, self::Raise, self::Clean, self::Pour, self::Adjust, self::Measure => 3,
            self::Lower, self::Loosen, self::Open, self::Close, self::TopUp, self::Prefill, self::CheckLeaks => 2,
            self::Purge, self::Run => 5,
            default => 1,
        };
    }

    /** What stands over the step. */
    public function title(string $name): string
    {
        return match ($this) {
            self::Secure => 'Make it safe',
            self::Warm => 'Warm it up',
            self::Raise => 'Raise it',
            self::Lower => 'Lower it',
            self::Clean => "Clean: {$name}",
            self::Loosen => "Loosen: {$name}",
            self::Open => "Open: {$name}",
            self::Drain => "Let it run out: {$name}",
            self::Look => "Look: {$name}",
            self::Remove => "Take off: {$name}",
            self::Compare => "Compare old with new: {$name}",
            self::Prefill => "Fill before it goes on: {$name}",
            self::Fit => "Fit: {$name}",
            self::Close => "Close: {$name}",
            self::Pour => "Pour: {$name}",
            self::Run => "Run it: {$name}",
            self::Wait => "Wait: {$name}",
            self::Read => "Read the level: {$name}",
            self::TopUp => "Top up: {$name}",
            self::Purge => "Get the air out: {$name}",
            self::Torque => "Tighten: {$name}",
            self::CheckLeaks => 'Look for leaks',
            self::Measure => "Measure: {$name}",
            self::Adjust => "Adjust: {$name}",
            self::Lubricate => "Grease: {$name}",
            self::Couple => "Put back: {$name}",
            self::Label => "Write on it: {$name}",
            self::Reset => 'Set its own reminder',
        };
    }

    /** Whether it does up what another undid, so that a machine is in pieces without it. */
    public function doesUp(): bool
    {
        return in_array($this, [self::Close, self::Open, self::Fit, self::Pour, self::Couple, self::Torque, self::Lower], true);
    }
}
