<?php

declare(strict_types=1);

namespace App\Kit;

use App\Models\Kit\Cable;
use App\Models\Kit\Camera;
use App\Models\Kit\Drive;
use App\Models\Kit\Reader;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tally\Chain\HostLink;
use Tally\Label\Bus;
use Tally\Quantity\Bytes;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Rate;

/** What was typed about a piece of gear. Each thing asked of it that cannot be had leaves a sentence under its field. */
final class Input
{
    /** @var array<string, string> */
    private array $errors = [];

    /**
     * @param  array<array-key, mixed>  $given
     * @param  string  $at  where in the form it stands, such as “slots.0.”
     */
    public function __construct(private readonly array $given, private readonly string $at = '') {}

    /** @return list<self> the parts under a name, each an input of its own whose errors must be taken over */
    public function parts(string $name): array
    {
        $parts = $this->given[$name] ?? [];

        return array_map(
            fn (mixed $part, int $i): self => new self(is_array($part) ? $part : [], "{$name}.{$i}."),
            is_array($parts) ? array_values(array_slice($parts, 0, 40)) : [],
            array_keys(is_array($parts) ? array_values(array_slice($parts, 0, 40)) : []),
        );
    }

    public function takeErrorsOf(self $part): void
    {
        $this->errors = [...$this->errors, ...$part->errors];
    }

    public function wrong(string $field, string $sentence): void
    {
        $this->errors[$this->at.$field] ??= $sentence;
    }

    /** @throws ValidationException when anything is wrong */
    public function check(): void
    {
        if ($this->errors !== []) {
            throw ValidationException::withMessages($this->errors);
        }
    }

    public function id(): int
    {
        $id = $this->given['id'] ?? 0;

        return is_numeric($id) ? (int) $id : 0;
    }

    public function text(string $field, int $most, string $empty = ''): string
    {
        $value = $this->given[$field] ?? '';
        $text = is_scalar($value) ? trim((string) $value) : '';
        if ($text === '' && $empty !== '') {
            $this->wrong($field, $empty);
        }
        if (mb_strlen($text) > $most) {
            $this->wrong($field, '“'.mb_substr($text, 0, 30)."…” is longer than {$most} characters. Shorten it.");
        }

        return $text;
    }

    /** @param  class-string<Reader|Cable|Drive|Camera>  $model */
    public function tag(string $model, ?string $before): string
    {
        $tag = strtoupper($this->text('tag', 20, 'The tag is empty. Give it a short code, such as R7.'));
        if ($tag !== '' && preg_match('/^[A-Z0-9][A-Z0-9-]*$/D', $tag) !== 1) {
            $this->wrong('tag', "The tag “{$tag}” has a character that addresses cannot carry. Use letters, digits and hyphens.");
        } elseif ($tag !== '' && $tag !== $before && DB::table((new $model())->getTable())->where('tag', $tag)->exists()) {
            $this->wrong('tag', "“{$tag}” is the tag of another one already. Choose another code.");
        }

        return $tag;
    }

    public function link(string $field): HostLink
    {
        $link = HostLink::tryFrom($this->text($field, 40));
        if ($link === null) {
            $this->wrong($field, "The link “{$this->text($field, 40)}” is not one of the list. Choose one.");
        }

        return $link ?? HostLink::Usb2;
    }

    /** @return list<Bus> */
    public function buses(string $field, string $empty): array
    {
        $given = $this->given[$field] ?? [];
        $buses = [];
        foreach (is_array($given) ? $given : [] as $one) {
            $bus = is_string($one) ? Bus::tryFrom($one) : null;
            if ($bus === null) {
                $this->wrong(
                    $field,
                    'The bus “'.(is_string($one) ? mb_substr($one, 0, 30) : '').'” is not one of the list. Tick the ones it has.',
                );
            } else {
                $buses[] = $bus;
            }
        }
        if ($buses === []) {
            $this->wrong($field, $empty);
        }

        return $buses;
    }

    /** @return float|null bytes a second */
    public function rate(string $field, string $empty = ''): ?float
    {
        $text = $this->text($field, 40, $empty);
        try {
            return $text === '' ? null : Rate::parse($text)->bytesPerSecond;
        } catch (NotAQuantity $fault) {
            $this->wrong($field, $fault->getMessage());

            return null;
        }
    }

    public function size(string $field, string $empty = ''): ?int
    {
        $text = $this->text($field, 40, $empty);
        try {
            return $text === '' ? null : Bytes::parse($text, 'GB')->count;
        } catch (NotAQuantity $fault) {
            $this->wrong($field, $fault->getMessage());

            return null;
        }
    }

    /** @return array{measured: float|null, measured_how: string|null} */
    public function measured(): array
    {
        $rate = $this->rate('measured');
        $how = $this->text('measured_how', 120);
        if ($rate !== null && $how === '') {
            $this->wrong('measured_how', 'Say how it was measured: a figure without that is no measurement.');
        }

        return ['measured' => $rate, 'measured_how' => $rate === null || $how === '' ? null : $how];
    }
}
