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

    /** Whether it does up what another undid, so that a machine is in pieces without it. */
    public function doesUp(): bool
    {
        return in_array($this, [self::Close, self::Open, self::Fit, self::Pour, self::Couple, self::Torque, self::Lower], true);
    }

    /** Whether the engine, or what it drives, turns meanwhile: nobody reaches in. */
    public function turnsTheEngine(): bool
    {
        return in_array($this, [self::Warm, self::Run, self::Purge], true);
    }
}
