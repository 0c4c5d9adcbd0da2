<?php

declare(strict_types=1);

namespace App\Models\People;

enum Role: string
{
    case Lead = 'lead';
    case Technician = 'technician';
    case Viewer = 'viewer';

    /** @return list<Ability> */
    public function abilities(): array
    {
        return match ($this) {
            self::Lead => Ability::cases(),
            self::Technician => [Ability::Write, Ability::Erase, Ability::Void],
            self::Viewer => [],
        };
    }

    /** What somebody is told when they come in for the first time. */
    public function welcome(): string
    {
        $words = fn (Ability ...$abilities): string => implode(', ', array_map(fn (Ability $one): string => $one->words(), $abilities));
        $not = array_udiff(Ability::cases(), $this->abilities(), fn (Ability $one, Ability $other): int => $one->value <=> $other->value);

        return "You are here as {$this->value}: you may look at everything".
            ($this->abilities() === [] ? '' : ', '.$words(...$this->abilities())).
            ($not === [] ? '.' : '. Not: '.$words(...array_values($not)).'. A lead does that, or gives you another role.');
    }
}
