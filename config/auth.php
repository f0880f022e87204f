<?php

declare(strict_types=1);

return [
    'defaults' => ['guard' => 'web'],
    'guards' => ['web' => ['driver' => 'session', 'provider' => 'people']],
    'providers' => ['people' => ['driver' => 'people-by-epoch', 'model' => App\People\Person::class]],
];
