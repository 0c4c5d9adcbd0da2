<?php

declare(strict_types=1);

namespace App\Backup;

/** What a backup says of one of its tables. */
final readonly class ManifestTable
{
    /**
     * @param  list<string>  $columns
     * @param  array<string, string>  $files  name → SHA-256
     */
    public function __construct(public string $sha256 = '', public array $columns = [], public array $files = []) {}
}
