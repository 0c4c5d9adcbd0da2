<?php

declare(strict_types=1);

// What differs from the framework's own: the project's own database is reached by its socket, which only its owner may open.
$host = env('DB_HOST', '127.0.0.1');
$isOwn = is_string($host) && ($host === 'localhost' || $host === '::1' || str_starts_with($host, '127.'));

// By which the database of another machine is known; a name without a path lies beside this application.
$given = env('MYSQL_ATTR_SSL_CA');
$certificate = is_string($given) && $given !== '' ? (str_starts_with($given, '/') ? $given : base_path($given)) : null;

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
            'options' => $certificate === null ? [] : [PDO::MYSQL_ATTR_SSL_CA => $certificate],
        ],
    ],
];
