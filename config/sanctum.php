<?php

declare(strict_types=1);

return [
    'guard' => ['web'],
    'expiration' => null,
];
