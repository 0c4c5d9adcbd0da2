<?php

declare(strict_types=1);

namespace App\Kit;

use Tally\Value\Alterable;

/** A form for a piece of gear. */
final readonly class KitFormProps
{
    use Alterable;

    /**
     * @param  string  $kind  readers, cables, hosts, drives, cameras or modes
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

    /** The same for a new one, to be changed before it is kept. */
    public function again(): self
    {
        $parts = $this->parts === null ? null : new KitPartsProps(
            $this->parts->name,
            $this->parts->title,
            $this->parts->one,
            $this->parts->blank,
            rows: array_map(fn (KitRowProps $row): KitRowProps => new KitRowProps(0, $row->fields), $this->parts->rows),
        );

        return $this->with(key: null, title: "A {$this->one} like {$this->title}", parts: $parts);
    }

    /** How it stands in the books, in short: by it a page that was loaded before somebody else saved is told. */
    public function state(): string
    {
        return substr(hash('sha256', json_encode([$this->fields, $this->parts], JSON_THROW_ON_ERROR)), 0, 16);
    }
}
