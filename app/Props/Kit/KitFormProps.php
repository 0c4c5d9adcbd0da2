<?php

declare(strict_types=1);

namespace App\Props\Kit;

/** A form for a piece of gear. */
final readonly class KitFormProps
{
    /**
     * @param  string  $kind  readers, cables, hosts, drives or cameras
     * @param  string|null  $key  by which it is known; null for a new one
     * @param  list<KitFieldProps>  $fields
     */
    public function __construct(
        public string $kind,
        public string $one,
        public ?string $key,
        public string $title,
        public array $fields,
        public ?KitPartsProps $parts,
    ) {}

    /** How it stands in the books, in short: by it a page that was loaded before somebody else saved is told. */
    public function state(): string
    {
        return substr(hash('sha256', json_encode([$this->fields, $this->parts], JSON_THROW_ON_ERROR)), 0, 16);
    }
}
