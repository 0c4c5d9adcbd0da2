<?php

declare(strict_types=1);

require __DIR__.'/../vendor/autoload.php';

// Several processes test beside one another, each on a database of its own.
$token = getenv('TEST_TOKEN');
if (is_string($token) && $token !== '') {
    $database = "gritty_tally_test_{$token}";
    putenv("DB_DATABASE={$database}");
    $_ENV['DB_DATABASE'] = $_SERVER['DB_DATABASE'] = $database;
}
