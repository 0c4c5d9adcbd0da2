<?php

declare(strict_types=1);

namespace Tally\Shoot;

use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Label\Mark;
use Tally\Label\MarkKind;
use Tally\Value\ByHand;
use Tally\Value\Key;

/** What a camera asks of a card before it lets a mode record: a class, a guaranteed medium, a form; and what it does without. */
#[ByHand]
final readonly class Demand
{
    /**
     * @param  Mark|null  $mark  the class it asks for, or more of its kind
     * @param  bool  $isGuaranteed  whether it asks for a medium with a guaranteed write: a VPG or E mark
     * @param  bool  $refuses  whether it refuses to record without; else it warns
     */
    public function __construct(
        public ?Mark $mark = null,
        #[Key('guaranteed')]
        public bool $isGuaranteed = false,
        public ?Form $form = null,
        public bool $refuses = true,
    ) {}

    public function isMetBy(Label $label): bool
    {
        $isForm = $this->form === null || $this->form->connector() === $label->form->connector();
        $isGuaranteed = ! $this->isGuaranteed || self::guarantees($label) !== [];

        return $isForm && $isGuaranteed && ($this->mark === null || $this->hasClass($label));
    }

    /**
     * Marks of a medium that guarantees what it keeps up.
     *
     * @return list<Mark>
     */
    public static function guarantees(Label $label): array
    {
        return array_values(array_filter($label->marks, fn (Mark $mark): bool => $mark->isGuarantee()));
    }

    /** `V90`, `a guaranteed medium`, `CFexpress B`; empty where it asks for nothing. */
    public function words(): string
    {
        $parts = [$this->mark?->value, $this->isGuaranteed ? 'a guaranteed medium' : null, $this->form?->label()];

        return implode(' and ', array_filter($parts, fn (?string $part): bool => $part !== null));
    }

    /** A body goes by the printed class: a greater one contains it, an equal floor is the same. Source: SD Association tables. */
    private function hasClass(Label $label): bool
    {
        foreach ($label->marks as $mark) {
            if ($this->mark !== null && ! $mark->floor()->isBelow($this->mark->floor()) && $mark->kind() !== MarkKind::AppClass) {
                return true;
            }
        }

        return false;
    }
}
