<?php

declare(strict_types=1);

namespace Core\Inspect;

/** How thorough a walk round a machine is. */
enum RoundKind: string
{
    case Daily = 'daily';
    case Weekly = 'weekly';
    case BeforeSeason = 'before_season';
    case AfterWash = 'after_wash';
    /** From grease point to grease point; it looks at nothing. */
    case Grease = 'grease';

    public function label(): string
    {
        return match ($this) {
            self::Daily => 'morning round',
            self::Weekly => 'weekly round',
            self::BeforeSeason => 'round before the season',
            self::AfterWash => 'round after washing',
            self::Grease => 'grease round',
        };
    }

    /** @return list<self> in which checks are looked at */
    public static function ofChecks(): array
    {
        return [self::Daily, self::Weekly, self::BeforeSeason, self::AfterWash];
    }

    /** Whether a check of one kind of round is looked at in this one too: a bigger round contains the smaller. */
    public function contains(self $other): bool
    {
        return match ($this) {
            self::Daily, self::AfterWash, self::Grease => $other === $this,
            self::Weekly => $other === self::Daily || $other === self::Weekly,
            self::BeforeSeason => $other !== self::AfterWash && $other !== self::Grease,
        };
    }
}
