<?php

declare(strict_types=1);

namespace App\Kit;

use App\Props\Kit\KitFormProps;
use App\Props\Kit\KitListProps;

/** One kind of gear: what there is of it, the form it is entered with, and how it is kept. */
interface Book
{
    public function list(): KitListProps;

    /** @param  string|null  $key  null for a new one */
    public function form(?string $key): ?KitFormProps;

    /** @return string the key it is known by from now on; the input's errors say why not */
    public function save(?string $key, Input $input): string;

    public function delete(string $key): void;
}
