<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Machine\Caution;
use Core\Procedure\Part;
use Core\Procedure\PartTask;
use Core\Procedure\Phase;
use Core\Procedure\StepVerb;

/** A battery: negative off first, positive off; positive on, negative on last. */
final readonly class Battery extends OffAndOn
{
    protected function before(Part $part): array
    {
        $this->draft->posts(StepVerb::Undo->at($part->key), StepVerb::Couple->at($part->key), isOffMeanwhile: false);

        return [$this->machine->isElectric()
            ? $this->step(StepVerb::Undo, $part, "Charger out, switch to tow. Take the negative cable off {$part->name} first, and tie it away; then the positive.", cautions: [Caution::Battery, Caution::BatteryAcid, Caution::ElectricCart])
            : $this->step(StepVerb::Undo, $part, "Take the negative cable off {$part->name} first, and tie it away; then the positive.", cautions: [Caution::Battery, Caution::BatteryAcid])];
    }

    protected function off(Part $part): string
    {
        return "Hold-down off, and lift {$part->name} out upright";
    }

    protected function looks(Part $part): string
    {
        return "Look at {$part->name} and its tray: a bulge, a crack, wet, green posts, cables stiff or thin.";
    }

    protected function compares(): string
    {
        return 'size, which side its posts are on, its capacity';
    }

    protected function cleans(Part $part): string
    {
        return "Clean tray and posts of {$part->name} with soda and water, rinse, dry, bright metal on the posts.";
    }

    protected function seated(Part $part, bool $isNew): array
    {
        return ['upright, hold-down tight, no rocking', 'posts and clamps bright'];
    }

    protected function isTightened(Part $part): bool
    {
        return $part->fitting->torque() !== '';
    }

    protected function after(Part $part, PartTask $task): array
    {
        return [[StepVerb::Couple, "Positive on {$part->name} first, then the negative last; both tight, a film of grease on them, covers over.", Phase::Reach]];
    }
}
