<?php

declare(strict_types=1);

return [
    // A stick or a share that holds the same backups.
    'second_folder' => env('BACKUP_FOLDER') ?: null,
    // Hundredths of the disk below which its keeper is told, and below which photographs are refused; left out, the usual.
    'disk' => ['low' => env('DISK_LOW_PERCENT'), 'no_photos' => env('DISK_NO_PHOTOS_PERCENT')],
    'lan' => [
        'address' => env('LAN_ADDRESS') ?: null,
        'door' => env('LAN_DOOR') ?: null,
    ],
];
