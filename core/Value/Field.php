<?php

declare(strict_types=1);

namespace Tally\Value;

use Closure;
use LogicException;
use ReflectionNamedType;
use ReflectionParameter;
use ReflectionProperty;

/** One field of a value: a parameter of its constructor. */
final readonly class Field
{
    /**
     * @param  string  $key  its name in JSON
     * @param  Closure(mixed, string): mixed  $reading  reads it: what is given, and where it stands
     */
    private function __construct(
        public string $key,
        public bool $isInline,
        private Closure $reading,
        private ReflectionParameter $parameter,
        private ?ReflectionProperty $property,
    ) {}

    public static function of(ReflectionParameter $parameter): self
    {
        $name = $parameter->getName();
        $class = $parameter->getDeclaringClass() ?? throw new LogicException("“{$name}” is no field of a value.");
        $key = $parameter->getAttributes(Key::class)[0] ?? null;

        return new self(
            $key?->newInstance()->name ?? strtolower((string) preg_replace('/(?<!^)[A-Z]/', '_$0', $name)),
            $parameter->getAttributes(Inline::class) !== [],
            Reading::of($parameter),
            $parameter,
            property: $class->hasProperty($name) ? $class->getProperty($name) : null,
        );
    }

    /** @throws NotUsable */
    public function read(mixed $given, int|string $at): mixed
    {
        return match (true) {
            $given !== null => ($this->reading)($given, (string) $at),
            $this->parameter->isDefaultValueAvailable() => $this->parameter->getDefaultValue(),
            $this->parameter->allowsNull() => null,
            default => ($this->reading)(null, (string) $at),
        };
    }

    /**
     * A value whose fields lie among those of the one that holds it.
     *
     * @param  array<mixed>  $given
     *
     * @throws NotUsable
     */
    public function amid(array $given, string $at): mixed
    {
        return $this->parameter->allowsNull() && ! $this->shape()->isIn($given)
            ? $this->read(null, $at)
            : $this->shape()->read($given, $at);
    }

    /** Of the class that it is of. */
    public function shape(): Shape
    {
        $type = $this->parameter->getType();
        /** @var class-string $class */
        $class = $type instanceof ReflectionNamedType ? $type->getName() : throw new LogicException("“{$this->key}” is of no one class.");

        return Shape::of($class);
    }

    public function isNeeded(): bool
    {
        return ! $this->isInline && ! $this->parameter->isDefaultValueAvailable() && ! $this->parameter->allowsNull();
    }

    public function name(): string
    {
        return $this->parameter->getName();
    }

    public function valueIn(object $value): mixed
    {
        return $this->property?->getValue($value);
    }
}
