<?php

declare(strict_types=1);

namespace App\Types;

use BackedEnum;
use LogicException;
use ReflectionClass;
use ReflectionParameter;
use Symfony\Component\TypeInfo\Type;
use Symfony\Component\TypeInfo\TypeContext\TypeContextFactory;
use Symfony\Component\TypeInfo\TypeIdentifier;
use Symfony\Component\TypeInfo\TypeResolver\StringTypeResolver;
use Symfony\Component\TypeInfo\TypeResolver\TypeResolver;

/** Writes the TypeScript of the page props from the PHP classes, so that they are never typed twice. */
final class TypeScript
{
    /** @var array<string, string> enums met on the way: name → TypeScript */
    private array $enums = [];

    /** @var array<string, string> short name → class */
    private array $names = [];

    private readonly StringTypeResolver $docs;

    private readonly TypeResolver $types;

    private readonly TypeContextFactory $contexts;

    public function __construct()
    {
        $this->docs = new StringTypeResolver();
        $this->types = TypeResolver::create();
        $this->contexts = new TypeContextFactory($this->docs);
    }

    /** @param  list<class-string>  $classes */
    public function of(array $classes): string
    {
        foreach ($classes as $class) {
            $this->claim($class);
        }
        $interfaces = array_map($this->interface(...), $classes);
        ksort($this->enums);

        return "// Made by `php artisan tally:types` from the classes that pages are made of. Do not edit.\n\n".
            implode("\n", [...array_values($this->enums), ...$interfaces]);
    }

    /** In TypeScript the short name is all there is: two classes of one name would be taken for each other. */
    private function claim(string $class): void
    {
        $name = class_basename($class);
        $before = $this->names[$name] ??= $class;
        if ($before !== $class) {
            throw new LogicException("{$before} and {$class} have one name in TypeScript. Rename one of them.");
        }
    }

    /** @param  class-string  $class */
    private function interface(string $class): string
    {
        $reflection = new ReflectionClass($class);
        $constructor = $reflection->getConstructor() ?? throw new LogicException("{$class} has no constructor to read its props from.");
        $doc = (string) $constructor->getDocComment();
        $lines = '';
        foreach ($constructor->getParameters() as $parameter) {
            $type = $this->documented($doc, $parameter, $reflection) ?? $this->types->resolve($parameter);
            $lines .= "    {$parameter->getName()}: {$this->print($type)};\n";
        }

        return "export interface {$reflection->getShortName()} {\n{$lines}}\n";
    }

    /** @param  ReflectionClass<object>  $class */
    private function documented(string $doc, ReflectionParameter $parameter, ReflectionClass $class): ?Type
    {
        $name = $parameter->getName();

        return preg_match('/@param\s+(\S+(?:, \S+)*)\s+\$'.$name.'\b/', $doc, $m) !== 1
            ? null
            : $this->docs->resolve($m[1], $this->contexts->createFromReflection($class));
    }

    private function print(Type $type): string
    {
        return match (true) {
            $type instanceof Type\NullableType => $this->print($type->getWrappedType()).' | null',
            $type instanceof Type\ArrayShapeType => $this->tuple($type),
            $type instanceof Type\CollectionType => $this->list($type),
            $type instanceof Type\BackedEnumType => $this->enum($type->getClassName()),
            $type instanceof Type\ObjectType => $this->object($type->getClassName()),
            $type instanceof Type\BuiltinType => $this->builtin($type->getTypeIdentifier()),
            default => throw new LogicException("No TypeScript for {$type}."),
        };
    }

    private function list(Type $type): string
    {
        if (! ($type instanceof Type\CollectionType) || ! $type->isList()) {
            throw new LogicException("{$type} is no list: say list<…> in the docblock.");
        }
        $value = $this->print($type->getCollectionValueType());

        return str_contains($value, ' ') && ! str_starts_with($value, '[') ? "({$value})[]" : "{$value}[]";
    }

    private function tuple(Type\ArrayShapeType $type): string
    {
        return '['.
            implode(', ', array_map(fn (array $part): string => $this->print($part['type']), array_values($type->getShape()))).
            ']';
    }

    private function object(string $class): string
    {
        return is_a($class, BackedEnum::class, true) ? $this->enum($class) : substr((string) strrchr('\\'.$class, '\\'), 1);
    }

    private function enum(string $class): string
    {
        $name = substr((string) strrchr('\\'.$class, '\\'), 1);
        if (! is_a($class, BackedEnum::class, true)) {
            throw new LogicException("{$class} has no values to send.");
        }
        $this->claim($class);
        $values = array_map(fn (BackedEnum $case): string => "'{$case->value}'", $class::cases());
        $line = "export type {$name} = ".implode(' | ', $values).";\n";
        $this->enums[$name] = strlen($line) <= 121 ? $line : "export type {$name} =\n    | ".implode("\n    | ", $values).";\n";

        return $name;
    }

    private function builtin(TypeIdentifier $identifier): string
    {
        return match ($identifier) {
            TypeIdentifier::INT, TypeIdentifier::FLOAT => 'number',
            TypeIdentifier::STRING => 'string',
            TypeIdentifier::BOOL => 'boolean',
            default => throw new LogicException("No TypeScript for {$identifier->value}."),
        };
    }
}
