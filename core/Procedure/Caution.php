<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\MachineClass;
use Core\Machine\Task;

/** What can hurt somebody at a task. The maker's manual, local rules and licensed trades come first. */
final class Caution
{
    public const BEFORE_ANY_WORK = 'Park level, brake on, implement down, key out, wheels that stay on the ground chocked. The maker\'s manual wins over anything said here.';

    private const BY_CLASS = [
        'generator' => 'Disable starting: control off, its fuse out or the starter battery off. House wiring and transfer switches are a licensed electrician\'s.',
        'electric_cart' => 'Lift batteries with help, and make no sparks near them.',
        'crawler' => 'Keep hands and feet clear of the tracks; block the blade before reaching under it.',
    ];

    /** @var array<string, string> a pattern found in the task's name => what to mind */
    private const BY_WORD = [
        '/deck|blade|spindle|tine/i' => 'Take the spark-plug lead off or disconnect the battery first, and wear gloves.',
        '/coolant/i' => 'Never open the cooling system hot.',
        '/fuel/i' => 'No flame, no sparks; ventilate and wear gloves.',
        '/hydrostatic|hydraulic/i' => 'Pressure off first. Never feel for a leak with a hand: an injection injury is an emergency.',
        '/oil(?!-bath)/i' => 'Hot oil and exhaust burn: warm is enough. Used oil goes to the collection point that local rules name.',
        '/battery|terminal/i' => 'Negative off first, on last; no sparks.',
        '/brake|tyre|wheel|axle|suspension|final drive/i' => 'A jack is not a stand: use stands or a locked lift before reaching under.',
        '/belt|chain/i' => 'Engine off, key out, before a hand goes near belts or chains.',
        '/run under load/i' => 'Run it only where exhaust cannot gather.',
    ];

    /** @return list<string> */
    public static function for(MachineClass $class, Task $task): array
    {
        $cautions = isset(self::BY_CLASS[$class->value]) ? [self::BY_CLASS[$class->value]] : [];
        foreach (self::BY_WORD as $pattern => $caution) {
            if (preg_match($pattern, $task->name)) {
                $cautions[] = $caution;
            }
        }

        return $cautions;
    }
}
