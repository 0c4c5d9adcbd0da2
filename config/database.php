<?php

declare(strict_types=1);

// What differs from the framework's own: the project's own database is reached by its socket, which only its owner may open.
$host = env('DB_HOST', '127.0.0.1');
$isOwn = is_string($host) && ($host === 'localhost' || $host === '::1' || str_starts_with($host, '127.'));

return [
    'default' => 'mariadb',
    'connections' => [
        'mariadb' => [
            'driver' => 'mariadb',
            'host' => $host,
            'port' => env('DB_PORT', '23470'),
            'unix_socket' => $isOwn ? env('DB_SOCKET', base_path('.run/db/mysql.sock')) : '',
            'database' => env('DB_DATABASE', 'gritty_tally'),
            'username' => env('DB_USERNAME', 'gritty'),
            'password' => env('DB_PASSWORD', ''),
            'charset' => 'utf8mb4',
            'collation' => 'utf8mb4_unicode_ci',
            'prefix' => '',
            'strict' => true,
            'options' => array_filter([PDO::MYSQL_ATTR_SSL_CA => env('MYSQL_ATTR_SSL_CA')]),
        ],
    ],
];
