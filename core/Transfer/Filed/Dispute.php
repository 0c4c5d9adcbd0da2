<?php

declare(strict_types=1);

namespace Tally\Transfer\Filed;

use JsonSerializable;
use Tally\Transfer\FilePath;

/** A file of which two lists say different things, and what it is. */
final readonly class Dispute implements JsonSerializable
{
    /**
     * @param  array<string, array<string, string>>  $says  list → kind → sum
     * @param  array<string, string>  $is  kind → sum; none where it is not there, or cannot be read
     */
    public function __construct(public string $path, public array $says, public array $is) {}

    /** @return list<string> lists that it is as they say */
    public function right(): array
    {
        $right = [];
        foreach ($this->says as $list => $sums) {
            if ($this->is !== [] && array_diff_assoc($sums, $this->is) === []) {
                $right[] = $list;
            }
        }

        return $right;
    }

    public function sentence(): string
    {
        $right = $this->right();
        $wrong = array_values(array_diff(array_keys($this->says), $right));

        return FilePath::shown($this->path).': '.match (true) {
            $right === [] => 'its lists disagree ('.implode(', ', $wrong).'), and it is as none of them says',
            default => 'it is as '.implode(' and ', $right).' says, and not as '.implode(' and ', $wrong).' says',
        };
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [
            'path' => FilePath::shown($this->path),
            'says' => $this->says,
            'is' => $this->is,
            'right' => $this->right(),
            'sentence' => $this->sentence(),
        ];
    }
}
