<?php

declare(strict_types=1);

// Argon2id, which reads the whole password. Memory in KiB and passes as OWASP's cheat sheet on the storage of passwords has them
// (from memory); the tests ask for less.
return [
    'driver' => 'argon2id',
    'argon' => [
        'memory' => (int) env('HASH_MEMORY', 19_456),
        'time' => (int) env('HASH_TIME', 2),
        'threads' => 1,
        // Hashes of before are of another kind, and still hold.
        'verify' => false,
    ],
    'rehash_on_login' => false,
    // Milliseconds that a wrong try takes at the least, whatever it was wrong by.
    'floor' => (int) env('HASH_FLOOR', 400),
];
