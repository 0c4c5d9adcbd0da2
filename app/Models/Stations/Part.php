<?php

declare(strict_types=1);

namespace App\Models\Stations;

/** A file system that lies on a raw medium, and what is in it. */
final readonly class Part
{
    /**
     * @param  string  $where  `partition 1`, or `the whole medium`
     * @param  string  $type  `exfat`; empty where none is known there
     * @param  int|null  $files  how many; null where nobody could look
     * @param  bool  $more  whether there are more than were counted
     * @param  list<string>  $names  some of them
     */
    public function __construct(
        public string $where,
        public int $bytes,
        public string $type,
        public ?string $label,
        public ?int $files,
        public bool $more = false,
        public array $names = [],
    ) {}

    /** @return array<string, mixed> */
    public function pack(): array
    {
        return [
            'where' => $this->where,
            'bytes' => $this->bytes,
            'type' => $this->type,
            'label' => $this->label,
            'files' => $this->files,
            'more' => $this->more,
            'names' => $this->names,
        ];
    }

    /** @param  array<mixed>  $packed */
    public static function unpack(array $packed): self
    {
        $text = fn (string $key): ?string => is_string($packed[$key] ?? null) ? $packed[$key] : null;
        $number = fn (string $key): ?int => is_int($packed[$key] ?? null) ? $packed[$key] : null;

        return new self(
            $text('where') ?? '',
            $number('bytes') ?? 0,
            $text('type') ?? '',
            $text('label'),
            $number('files'),
            ($packed['more'] ?? false) === true,
            array_values(array_filter(is_array($packed['names'] ?? null) ? $packed['names'] : [], is_string(...))),
        );
    }
}
