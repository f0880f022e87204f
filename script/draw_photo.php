<?php

declare(strict_types=1);

// Draws a picture anew: turned upright as the camera says it was held, small enough, on white.
//
//   php draw_photo.php FROM TO

use Intervention\Image\ImageManager;

require dirname(__DIR__).'/vendor/autoload.php';

const LONGEST_SIDE = 1600;
const QUALITY = 82;

ImageManager::gd(autoOrientation: true, blendingColor: 'ffffff', strip: true)
    ->read($argv[1])
    ->scaleDown(LONGEST_SIDE, LONGEST_SIDE)
    ->blendTransparency()
    ->toJpeg(QUALITY)
    ->save($argv[2]);
