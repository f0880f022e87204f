<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Contract\Refusal;
use Symfony\Component\Process\PhpExecutableFinder;
use Symfony\Component\Process\Process;

/**
 * Draws a picture anew from its pixels, so that nothing else of the file is kept: no place, no camera, nothing that was
 * hidden in it. It is done by a program of its own with limits of its own: whatever a file was made to do ends with it.
 */
final class DrawPhoto
{
    /** More than a phone gives, less than unpacks into what the program may have. */
    private const MOST_PIXELS = 24_000_000;

    /** A progressive picture is drawn in some ten passes; one that repeats an empty pass costs the more the longer it is. */
    private const MOST_SCANS = 100;

    private const MOST_SECONDS = 20;

    private const MOST_BYTES = 256 * 1024 * 1024;

    /** Start of scan, ITU-T T.81 table B.1. Within what is packed it never stands by chance. */
    private const SCAN = "\xFF\xDA";

    /** @throws Refusal if it is no picture of a kind taken here, too large, or broken */
    public function __invoke(string $from, string $to): void
    {
        [$width, $height, $kind] = @getimagesize($from) ?: [0, 0, 0];
        if (! in_array($kind, [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP], true)) {
            throw Refusal::field('photo', 'Only pictures are taken: JPEG, PNG or WebP.');
        }
        if ($width < 1 || $height < 1 || $width * $height > self::MOST_PIXELS) {
            throw Refusal::field('photo', 'A picture has at most '.self::MOST_PIXELS / 1_000_000 .' million pixels.');
        }
        if ($kind === IMAGETYPE_JPEG && substr_count((string) file_get_contents($from), self::SCAN) > self::MOST_SCANS) {
            throw Refusal::field('photo', 'This picture is drawn in more passes than any camera makes.');
        }
        $drawing = new Process([
            'prlimit', '--cpu='.self::MOST_SECONDS, '--data='.self::MOST_BYTES,
            (string) (new PhpExecutableFinder)->find(), '-d', 'memory_limit='.self::MOST_BYTES, base_path('script/draw_photo.php'), $from, $to,
        ]);
        if ($drawing->setTimeout(3 * self::MOST_SECONDS)->run() !== 0) {
            throw Refusal::field('photo', 'This picture is broken.');
        }
    }
}
