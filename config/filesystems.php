<?php

declare(strict_types=1);

return [
    'disks' => [
        // No stored file has an address of its own.
        'local' => ['driver' => 'local', 'root' => env('TALLY_FILES', storage_path('app/private')), 'serve' => false, 'throw' => true],
    ],
];
