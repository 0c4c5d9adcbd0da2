<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Gear\ChainBuilder;
use App\Models\Cards\Card;
use App\Models\Kit\Port;
use App\Models\Kit\Reader;
use Illuminate\Validation\Validator;
use Tally\Measured\Chain;

/** The reader and the port that a figure from elsewhere was measured over, if anybody knows. */
trait NamesChain
{
    /** @return array<string, list<mixed>> */
    private function chainRules(): array
    {
        return ['reader' => ['nullable', 'string', 'max:20'], 'port' => ['nullable', 'integer']];
    }

    /** @return array<string, string> */
    private function chainMessages(): array
    {
        return [
            'reader' => 'The reader was not sent as a tag. Choose one of the list.',
            'port' => 'The port is not one of the list. Choose one.',
        ];
    }

    private function checkChain(Validator $validator): void
    {
        $reader = $this->reader();
        if ($this->filled('reader') && $reader === null) {
            $validator->errors()->add('reader', "“{$this->string('reader')}” is no reader of the kit. Choose one of the list.");
        } elseif ($this->filled('port') && $this->port() === null) {
            $validator->errors()->add('port', 'This port is not in the kit. Choose one of the list.');
        } elseif ($reader !== null && $this->port() === null) {
            $validator
                ->errors()
                ->add(
                    'port',
                    'Say at which port the reader was: the slowest link decides. Or choose no reader, and nothing is judged by a '.
                    'shortfall.',
                );
        } elseif ($reader !== null && $this->chain() === null) {
            $validator->errors()->add('reader', "{$reader->tag} does not take this card. Choose the reader that it was in.");
        }
    }

    public function reader(): ?Reader
    {
        return $this->filled('reader')
            ? Reader::query()
                ->with(['slots', 'cable'])
                ->where('tag', $this->string('reader')->value())
                ->first()
            : null;
    }

    public function port(): ?Port
    {
        return $this->filled('port') ? Port::query()->with('host')->find($this->integer('port')) : null;
    }

    /** @return Chain|null unnamed where no reader was chosen; null when the reader does not take the card */
    public function chain(): ?Chain
    {
        [$card, $reader, $port] = [$this->route('card'), $this->reader(), $this->port()];

        return $card instanceof Card && $reader !== null && $port !== null
            ? ChainBuilder::chainOf($card, $reader, $port)
            : Chain::unnamed();
    }
}
