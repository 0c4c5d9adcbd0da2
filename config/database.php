<?php

declare(strict_types=1);

// What differs from the framework's own: the project's own database is reached by its socket, which only its owner may open.
$host = env('DB_HOST', '127.0.0.1');
$isOwn = is_string($host) && ($host === 'localhost' || $host === '::1' || str_starts_with($host, '127.'));

// By which the database of another machine is known; a name without a path lies beside this application.
$given = env('MYSQL_ATTR_SSL_CA');
$certificate = is_string($given) && $given !== '' ? (str_starts_with($given, '/') ? $given : base_path($given)) : null;

$books = [
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
    // What a request wrote it reads where it wrote it (app/Http/Middleware/ReadFromReplica).
    'sticky' => true,
    // One way to the database and back for each question instead of two.
    'options' => [PDO::ATTR_EMULATE_PREPARES => true] + ($certificate === null ? [] : [PDO::MYSQL_ATTR_SSL_CA => $certificate]),
];

return [
    'default' => 'mariadb',
    'connections' => [
        'mariadb' => $books,
        // A copy of the books that the database keeps by its own replication, to read pages from; without a host there is none.
        'replica' => [
            ...$books,
            'host' => env('DB_READ_HOST', ''),
            'port' => env('DB_READ_PORT', '3306'),
            'unix_socket' => '',
            // Seconds; one that is away is not waited for.
            'options' => $books['options'] + [PDO::ATTR_TIMEOUT => 1],
        ],
    ],
];
