<?php

declare(strict_types=1);

namespace App\Kit;

/** One kind of gear: what there is of it, the form it is entered with, and how it is kept. */
interface KitSection
{
    public function list(): KitListProps;

    /** @param  string|null  $key  null for a new one */
    public function form(?string $key): ?KitFormProps;

    /**
     * @param  string|null  $key  null for a new one
     * @return array<string, list<mixed>> what may be typed into each field, as Laravel's validator has it
     */
    public function rules(?string $key): array;

    /** @return array<string, string> what is said where a field is empty or cannot be taken; beside KitRules::messages() */
    public function messages(): array;

    /** @return string the key it is known by from now on */
    public function save(?string $key, TypedGear $typed): string;

    public function delete(string $key): void;
}
