<?php

declare(strict_types=1);

namespace Core\Procedure;

/** What keeps a machine from starting, or a spark from jumping, while hands are in it: undone first, and done up again. */
enum Guard: string
{
    case SparkLead = 'spark_lead';
    case BatteryNegative = 'battery_negative';
    case Starting = 'starting';
    case RunTow = 'run_tow';

    public static function of(ServicedMachine $machine): self
    {
        return match (true) {
            $machine->stands() => self::Starting,
            default => match ($machine->engine) {
                Engine::Electric => self::RunTow,
                Engine::Petrol => self::SparkLead,
                Engine::Diesel => self::BatteryNegative,
            },
        };
    }

    /** Whether it stands for the whole of a service, and each run undoes it for itself. */
    public function isForTheWholeService(): bool
    {
        return $this === self::Starting || $this === self::RunTow;
    }

    /** @return array{string, string} what stands over either half */
    public function titles(): array
    {
        return match ($this) {
            self::SparkLead => ['Spark-plug leads off', 'Spark-plug leads on again'],
            self::BatteryNegative => ['Negative cable off the battery', 'Negative cable on again'],
            self::Starting => ['Make starting impossible', 'Make starting possible again'],
            self::RunTow => ['Switch to tow', 'Switch back to run'],
        };
    }

    public function undone(): string
    {
        return match ($this) {
            self::SparkLead => 'Pull the lead off every spark plug and tie it away from it.',
            self::BatteryNegative => 'Take the negative cable off the battery and tie it away from the post.',
            self::Starting => 'Make starting impossible: control off, and its fuse out or the starter battery off. Keep the fuse in your pocket.',
            self::RunTow => 'Switch to tow, key out and in your pocket.',
        };
    }

    public function doneUp(): string
    {
        return match ($this) {
            self::SparkLead => 'Put every lead back on until it clicks: hands, tools and rags are out.',
            self::BatteryNegative => 'Put the negative cable back on and tight: hands, tools and rags are out.',
            self::Starting => 'Fuse in, or the starter battery on, and the control as it was: nobody is at it.',
            self::RunTow => 'Switch back to run: nobody is at it.',
        };
    }
}
