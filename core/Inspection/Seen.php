<?php

declare(strict_types=1);

namespace Tally\Inspection;

use Tally\Label\Finding;
use Tally\Label\Form;
use Tally\Label\Label;

/** One answer of an inspection, by whom and when. */
final readonly class Seen
{
    /**
     * @param  string  $by  who looked
     * @param  string  $on  the day, as it is to be printed
     * @param  string|null  $reader  tag of the reader it was in, for what is seen there
     */
    public function __construct(
        public Question $question,
        public Answer $answer,
        public string $by,
        public string $on,
        public ?string $reader = null,
    ) {}

    /** What the answer means for this card; null when all is well. */
    public function finding(Label $label): ?Finding
    {
        $other = $this->otherForm($label->form);
        if ($other !== null) {
            return Finding::contradiction(
                "seen-{$this->question->value}",
                "The label says {$label->form->label()}; what was seen is {$other}.",
                $this->source(),
            );
        }

        return $this->answer->weight !== Weight::Doubt
            ? null
            : Finding::doubt("seen-{$this->question->value}", $this->sentence(), $this->source())->about($this->question->about());
    }

    /** Whether it strikes the card out by itself. */
    public function isTrouble(): bool
    {
        return $this->answer->weight === Weight::Trouble;
    }

    public function source(): string
    {
        return "seen by {$this->by} on {$this->on}".
            ($this->reader === null ? '' : " in {$this->reader}").
            '; '.
            $this->question->source();
    }

    /** The answer as it is said of the card, with the reader it was seen in. */
    public function sentence(): string
    {
        return $this->reader === null ? $this->answer->says : rtrim($this->answer->says, '.')." in {$this->reader}.";
    }

    /** @return string|null the form that was seen, when it is another than the label's */
    private function otherForm(Form $form): ?string
    {
        $seen = match ($this->answer->key) {
            'holes' => [Form::Cf],
            'tongue' => [Form::CFast],
            'a' => [Form::CFexpressA],
            'b' => [Form::CFexpressB, Form::Xqd],
            'c' => [Form::CFexpressC],
            default => [],
        };
        $asked = $this->question === Question::Connector || $this->question === Question::Outline;

        return ! $asked || $seen === [] || in_array($form, $seen, true)
            ? null
            : implode(' or ', array_map(fn (Form $one): string => $one->label(), $seen));
    }
}
