<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Ledger\BookLine;
use App\Models\People\User;
use Illuminate\Support\Facades\Auth;

/**
 * Every change of such a row is a line of the books. What is derived from others is no change of its own: a model names it in
 * `derived()`.
 *
 * @mixin \Illuminate\Database\Eloquent\Model
 */
trait WritesBookLines
{
    protected static function bootWritesBookLines(): void
    {
        static::created(function (self $row): void {
            $row->writeLine('created', $row->told(), []);
        });
        static::updated(function (self $row): void {
            $changes = array_intersect_key($row->getChanges(), $row->told());
            if ($changes !== []) {
                $row->writeLine('updated', $changes, array_intersect_key($row->getRawOriginal(), $changes));
            }
        });
        static::deleted(function (self $row): void {
            $row->writeLine('deleted', [], $row->told());
        });
    }

    /** @return array<string, mixed> what is told of it in a line: columns as they are kept */
    public function told(): array
    {
        return array_diff_key($this->getAttributes(), array_flip([...$this->derived(), 'id', 'created_at', 'updated_at']));
    }

    /**
     * @param  array<string, mixed>  $is
     * @param  array<string, mixed>  $was
     */
    private function writeLine(string $event, array $is, array $was): void
    {
        activity('books')
            ->performedOn($this)
            ->event($event)
            ->withProperties(array_filter(['attributes' => $is, 'old' => $was], fn (array $columns): bool => $columns !== []))
            ->tap(function (BookLine $line) use ($is): void {
                $line->card_id = $this->cardOfLine();
                $line->who = $this->whoOfLine($is);
            })
            ->log(mb_substr($this->inBooks(), 0, 200));
    }

    /** @return list<string> columns that follow from others */
    protected function derived(): array
    {
        return [];
    }

    /** What the row is called: its tag, its name, or what kind of row it is. */
    private function inBooks(): string
    {
        $kind = strtolower((string) preg_replace('/(?<!^)[A-Z]/', ' $0', class_basename($this)));
        foreach (['tag', 'name', 'model'] as $column) {
            $value = $this->getAttributes()[$column] ?? null;
            if (is_string($value) && $value !== '') {
                return "{$kind} {$value}";
            }
        }

        return $kind;
    }

    private function cardOfLine(): ?int
    {
        $id = $this->getTable() === 'cards' ? $this->getKey() : $this->getAttributes()['card_id'] ?? null;

        return is_numeric($id) ? (int) $id : null;
    }

    /**
     * Whoever is signed in; else whoever signed what is new in it.
     *
     * @param  array<string, mixed>  $is
     */
    private function whoOfLine(array $is): ?string
    {
        $signed = array_values(array_intersect_key($is, array_flip(['recorded_by', 'by', 'seen_by', 'retired_by'])));
        $who = (Auth::user() instanceof User ? Auth::user()->name : null) ?? $signed[0] ?? null;

        return is_string($who) && $who !== '' ? mb_substr($who, 0, 80) : null;
    }
}
