<?php

declare(strict_types=1);

namespace Tally\Value;

use Closure;
use LogicException;
use ReflectionNamedType;
use ReflectionParameter;
use ReflectionProperty;

/** One field of a value: a parameter of its constructor. */
final class Field
{
    /** @var Closure(mixed, string): mixed|null  reads it: what is given, and where it stands; made when it is first read */
    private ?Closure $reading = null;

    /** @param  string  $key  its name in JSON */
    private function __construct(
        public readonly string $key,
        public readonly bool $isInline,
        private readonly ReflectionParameter $parameter,
        private readonly ?ReflectionProperty $property,
    ) {}

    public static function of(ReflectionParameter $parameter): self
    {
        $name = $parameter->getName();
        $class = $parameter->getDeclaringClass() ?? throw new LogicException("“{$name}” is no field of a value.");
        $key = $parameter->getAttributes(Key::class)[0] ?? null;

        return new self(
            $key?->newInstance()->name ?? strtolower((string) preg_replace('/(?<!^)[A-Z]/', '_$0', $name)),
            $parameter->getAttributes(Inline::class) !== [],
            $parameter,
            property: $class->hasProperty($name) ? $class->getProperty($name) : null,
        );
    }

    /** @throws NotUsable */
    public function read(mixed $given, int|string $at): mixed
    {
        if ($given === null && $this->parameter->isDefaultValueAvailable()) {
            return $this->parameter->getDefaultValue();
        }
        if ($given === null && $this->parameter->allowsNull()) {
            return null;
        }
        $this->reading ??= Reading::of($this->parameter);

        return ($this->reading)($given, (string) $at);
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
