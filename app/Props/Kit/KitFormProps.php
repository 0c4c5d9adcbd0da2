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
    public function __construct(public string $kind, public string $one, public ?string $key, public string $title, public array $fields, public ?KitPartsProps $parts) {}
}
