<?php

declare(strict_types=1);

use Spatie\Permission\PermissionRegistrar;

return [
    // Who may what is asked anew with each page: a role that was taken away must not live on in a cache.
    'cache' => [
        'expiration_time' => DateInterval::createFromDateString('1 minute'),
        'key' => PermissionRegistrar::class,
        'store' => 'array',
    ],
];
