<?php

declare(strict_types=1);

namespace App\Backup;

/** What a backup says of itself. */
final readonly class Manifest
{
    /**
     * @param  list<string>  $changes  that its books had been through
     * @param  array<string, ManifestTable>  $tables
     */
    public function __construct(
        public string $format = '',
        public int $version = 0,
        public string $madeAt = '',
        public array $changes = [],
        public array $tables = [],
    ) {}

    /** Whether this program can read it. */
    public function isKnown(): bool
    {
        return $this->format === BackupFile::FORMAT && $this->version >= 1 && $this->version <= BackupFile::VERSION;
    }
}
