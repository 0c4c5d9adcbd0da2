<?php

declare(strict_types=1);

namespace App\Kit;

use App\Rules\Quantity;
use App\Rules\Several;
use App\Rules\Text;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Unique;
use Tally\Chain\HostLink;
use Tally\Label\Bus;

/** What may be typed into fields that several kinds of gear have. */
final readonly class KitRules
{
    private const PLUGGED = ['readers' => ['drives'], 'drives' => ['readers']];

    /** @return array<string, string> */
    public static function messages(): array
    {
        return [
            'tag.required' => 'The tag is empty. Give it a short code, such as R7.',
            'tag.regex' => 'The tag “:input” has a character that addresses cannot carry. Use letters, digits and hyphens.',
            'tag.unique' => '“:input” is the tag of another one already. Choose another code.',
            'measured_how.required_with' => 'Say how it was measured: a figure without that is no measurement.',
            '*.measured_how.required_with' => 'Say how it was measured: a figure without that is no measurement.',
        ];
    }

    /**
     * @param  string  $sentence  what to write there
     * @return array<string, string> the same of a field that is empty and of one that is no text
     */
    public static function empty(string $field, string $sentence): array
    {
        return ["{$field}.required" => $sentence, "{$field}.string" => $sentence];
    }

    /**
     * @param  string  $table  whose tags must differ
     * @param  string|null  $before  the tag that it has now
     * @return list<mixed>
     */
    public static function tag(string $table, ?string $before): array
    {
        return [
            'bail',
            'required',
            Text::upTo(20),
            'regex:/^[A-Za-z0-9][A-Za-z0-9-]*$/D',
            Rule::unique($table, 'tag')->ignore($before, 'tag'),
            // A plan tells readers and drives apart by their tags alone.
            ...array_map(fn (string $other): Unique => Rule::unique($other, 'tag'), self::PLUGGED[$table] ?? []),
        ];
    }

    /** @return list<mixed> */
    public static function name(int $most = 80): array
    {
        return ['bail', 'required', 'string', Text::upTo($most)];
    }

    /** @return list<mixed> */
    public static function link(): array
    {
        return ['bail', 'required', Rule::enum(HostLink::class)];
    }

    /** @return list<mixed> */
    public static function buses(): array
    {
        return ['bail', 'required', 'array', new Several(Bus::class, 'The bus')];
    }

    /** @return list<mixed> */
    public static function rate(string ...$more): array
    {
        return ['bail', ...self::orEmpty($more), Quantity::rate()];
    }

    /** @return list<mixed> */
    public static function size(string ...$more): array
    {
        return ['bail', ...self::orEmpty($more), Quantity::amount()];
    }

    /**
     * @param  string  $under  of the part it belongs to, such as “ports.*.”
     * @return array<string, list<mixed>>
     */
    public static function measured(string $under = ''): array
    {
        return [
            "{$under}measured" => self::rate(),
            "{$under}measured_how" => ['bail', 'nullable', "required_with:{$under}measured", Text::upTo(120)],
        ];
    }

    /**
     * @param  array<array-key, string>  $more
     * @return list<string>
     */
    private static function orEmpty(array $more): array
    {
        return $more === [] ? ['nullable'] : array_values($more);
    }
}
