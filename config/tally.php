<?php

declare(strict_types=1);

return [
    // The bench this machine is: its runs wait in a queue of their own.
    'station' => env('TALLY_STATION', 'Bench A'),

    // Runs from the pages only write below these folders; the project's own cards/ folder is for trying things out.
    'folders' => array_values(
        array_filter([
            ...explode(':', is_string($folders = env('TALLY_FOLDERS', '/media:/mnt:/run/media')) ? $folders : ''),
            base_path('.run/cards'),
        ]),
    ),

    // Below these a bay may be a plain folder of the host's own disk. Anywhere else a card must be mounted at it: a bay whose
    // card is out is a folder like any other.
    'plain_folders' => array_values(
        array_filter([...explode(':', is_string($plain = env('TALLY_PLAIN_FOLDERS', '')) ? $plain : ''), base_path('.run/cards')]),
    ),

    // Devices that raw runs may erase, besides those of this station's raw slots: paths or patterns
    // such as /dev/disk/by-id/usb-*, divided by commas, since the names there hold colons.
    'removable' => array_values(
        array_filter(array_map(trim(...), explode(',', is_string($removable = env('TALLY_REMOVABLE', '')) ? $removable : ''))),
    ),

    // Proofs that may go on at once on this station, each with a worker of its own.
    'proofs_at_once' => max(1, (int) (is_numeric($proofs = env('TALLY_PROOFS_AT_ONCE', 3)) ? $proofs : 3)),

    // Copies of an offload that go on side by side, each with a worker of its own.
    'copies_at_once' => max(1, (int) (is_numeric($copies = env('TALLY_COPIES_AT_ONCE', 4)) ? $copies : 4)),

    // Made-up cards live in made-up time; a run on one is stretched to about this many real seconds, so that it can be watched.
    'stand_in_seconds' => (float) (is_numeric($seconds = env('TALLY_STAND_IN_SECONDS', 6)) ? $seconds : 6),

    // A whole offload of made-up cards and drives plays in about this many real seconds.
    'offload_seconds' => (float) (is_numeric($seconds = env('TALLY_OFFLOAD_SECONDS', 60)) ? $seconds : 60),

    // Where stations of other houses stood before they were entered on the Benches page: name => public key.
    'known_stations' => array_column(
        array_filter(
            array_map(
                fn (string $line): array => array_map(trim(...), explode('=', $line, 2)),
                explode(',', is_string($known = env('TALLY_KNOWN_STATIONS', '')) ? $known : ''),
            ),
            fn (array $pair): bool => count($pair) === 2 && $pair[1] !== '',
        ),
        1,
        0,
    ),

    // The most memory of one process.
    'memory' => ['web' => env('TALLY_MEMORY_WEB', '256M'), 'terminal' => env('TALLY_MEMORY_TERMINAL', '1G')],

    // What a price without a currency is in.
    'currency' => env('TALLY_CURRENCY', 'EUR'),

    // Where the pages are listened for. On this machine alone, with one person in the books, nobody need sign in; with
    // TALLY_OPEN=never everybody does.
    'listen' => env('APP_LISTEN', '127.0.0.1'),
    'open' => env('TALLY_OPEN', 'auto'),
    // A proxy on this machine does the TLS, and other machines come in by way of it.
    'behind_proxy' => filter_var(env('TALLY_BEHIND_PROXY', false), FILTER_VALIDATE_BOOL),

    // Host names the pages answer to, and nobody else's.
    'hosts' => [
        '127.0.0.1',
        'localhost',
        '[::1]',
        is_string($listen = env('APP_LISTEN')) ? $listen : '127.0.0.1',
        ...array_values(array_filter(array_map(trim(...), explode(',', is_string($hosts = env('TALLY_HOSTS', '')) ? $hosts : '')))),
    ],
];
