<?php

declare(strict_types=1);

namespace Tally\Offload\Written;

use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Rules;
use Tally\Offload\Question\Scheme;
use Tally\Offload\Question\Verify;
use Tally\Value\WrongField;

/** The rules of a plan, as they are written down. */
final readonly class WrittenRules
{
    private const ANY = 'any';

    private ?Scheme $one;

    /**
     * @param  string  $scheme  a scheme, or `any`: chosen for each card
     * @param  float  $swap  seconds
     * @param  float  $first  seconds
     * @param  float  $overhead  seconds a file
     *
     * @throws WrongField
     */
    public function __construct(
        public int $copies = 2,
        public Verify $verify = Verify::ReadBack,
        public string $scheme = self::ANY,
        public float $swap = 25.0,
        public float $first = 10.0,
        public float $overhead = 0.01,
        public int $hands = 1,
        public ?Goal $goal = null,
    ) {
        if ($copies < 1 || $copies > Rules::MOST_COPIES) {
            throw new WrongField('copies', 'give 1, 2 or 3.');
        }
        if ($hands < 1 || $hands > Rules::MOST_HANDS) {
            throw new WrongField('hands', 'give 1 to '.Rules::MOST_HANDS.' pairs.');
        }
        foreach (['swap' => $swap, 'first' => $first, 'overhead' => $overhead] as $field => $seconds) {
            if ($seconds < 0 || $seconds > 86_400) {
                throw new WrongField($field, 'give seconds, from 0 to a day.');
            }
        }
        $known = implode(', ', array_map(fn (Scheme $one): string => $one->value, Scheme::cases()));
        $this->one = $scheme === self::ANY ? null : Scheme::tryFrom($scheme) ??
            throw new WrongField('scheme', "one of these would do: {$known}.");
    }

    public static function of(Rules $rules, Goal $goal): self
    {
        return new self(
            copies: $rules->copies,
            verify: $rules->verify,
            scheme: $rules->scheme->value ?? self::ANY,
            swap: $rules->swap,
            first: $rules->first,
            overhead: $rules->overhead,
            hands: $rules->hands,
            goal: $goal,
        );
    }

    public function rules(): Rules
    {
        return new Rules(
            copies: $this->copies,
            verify: $this->verify,
            scheme: $this->one,
            swap: $this->swap,
            first: $this->first,
            overhead: $this->overhead,
            hands: $this->hands,
        );
    }
}
