<?php

declare(strict_types=1);

use Monolog\Handler\NullHandler;

// A log that cannot be written, on a full disk for one, is no reason to leave anybody without an answer.
return [
    'default' => env('LOG_CHANNEL', 'single') === 'null' ? 'null' : 'kept',
    'deprecations' => ['channel' => 'null'],
    'channels' => [
        'kept' => ['driver' => 'stack', 'channels' => ['single'], 'ignore_exceptions' => true],
        'single' => [
            'driver' => 'single',
            'path' => storage_path('logs/laravel.log'),
            'level' => env('LOG_LEVEL', 'info'),
            'permission' => 0600,
            'replace_placeholders' => true,
        ],
        'null' => ['driver' => 'monolog', 'handler' => NullHandler::class],
    ],
];
