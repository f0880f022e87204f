<?php

declare(strict_types=1);

namespace Core\Fluid\Grade;

/** How the grades of oils are written: `10W-30`, `SAE 80W/90`, `15w40`, `SAE 30`, `75W`. */
final class Multigrade
{
    /** @return array{int|null, int|null}|null its winter and its hot number, null where it is written in no such way */
    public static function read(string $written): ?array
    {
        $written = strtr(trim($written), ['–' => '-', '−' => '-']);
        if (! preg_match('~^(?:SAE\s*)?(?:(\d{1,3})\s*-?W(?:\s*[-/]?\s*(\d{1,3}))?|(\d{1,3}))$~iD', $written, $part)) {
            return null;
        }
        $number = fn (int $which): ?int => ($part[$which] ?? '') === '' ? null : (int) $part[$which];

        return [$number(1), $number(2) ?? $number(3)];
    }

    public static function written(?int $winter, ?int $hot): string
    {
        return match (true) {
            $winter === null => "SAE {$hot}",
            $hot === null => "{$winter}W",
            default => "{$winter}W-{$hot}",
        };
    }
}
