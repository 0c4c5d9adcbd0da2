<?php

declare(strict_types=1);

namespace App\Http;

use Closure;
use Illuminate\Database\QueryException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Validation\ValidationException;

/** Two people who enter the same code at the same moment: the later one is told, as if it had been there before. */
final readonly class Taken
{
    /**
     * @template T
     *
     * @param  Closure(): T  $act
     * @return T
     *
     * @throws ValidationException|QueryException
     */
    public static function told(string $field, Closure $act): mixed
    {
        try {
            return $act();
        } catch (UniqueConstraintViolationException) {
            throw ValidationException::withMessages([
                $field => 'Somebody else has just entered the same one. Nothing of yours was saved; choose another, or look at theirs.',
            ]);
        }
    }
}
