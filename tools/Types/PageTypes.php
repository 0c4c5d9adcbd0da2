<?php

declare(strict_types=1);

namespace Tools\Types;

use BackedEnum;
use LogicException;
use PHPStan\PhpDocParser\Ast\PhpDoc\PhpDocNode;
use PHPStan\PhpDocParser\Ast\Type\ArrayShapeItemNode;
use PHPStan\PhpDocParser\Ast\Type\ArrayShapeNode;
use PHPStan\PhpDocParser\Ast\Type\GenericTypeNode;
use PHPStan\PhpDocParser\Ast\Type\IdentifierTypeNode;
use PHPStan\PhpDocParser\Ast\Type\NullableTypeNode;
use PHPStan\PhpDocParser\Ast\Type\TypeNode;
use PHPStan\PhpDocParser\Ast\Type\UnionTypeNode;
use PHPStan\PhpDocParser\Lexer\Lexer;
use PHPStan\PhpDocParser\Parser\ConstExprParser;
use PHPStan\PhpDocParser\Parser\PhpDocParser;
use PHPStan\PhpDocParser\Parser\TokenIterator;
use PHPStan\PhpDocParser\Parser\TypeParser;
use PHPStan\PhpDocParser\ParserConfig;
use ReflectionClass;
use Symfony\Component\TypeInfo\TypeContext\TypeContextFactory;

/**
 * The TypeScript of what pages are made of, so that it is never typed twice: of each page its constructor, and of each part the
 * `@phpstan-type` that says its fields.
 */
final class PageTypes
{
    /** @var array<string, string> TypeScript, by name */
    private array $types = [];

    /** @var array<string, string> whose name it is */
    private array $owners = [];

    private readonly ParserConfig $config;

    private readonly TypeParser $typeParser;

    public function __construct()
    {
        $this->config = new ParserConfig(['comments' => true]);
        $this->typeParser = new TypeParser($this->config, new ConstExprParser($this->config));
    }

    /**
     * @param  list<class-string>  $classes  whose constructors are props
     * @param  list<class-string>  $homes  whose docblocks may name parts
     */
    public function of(array $classes, array $homes): string
    {
        foreach ($homes as $home) {
            foreach ($this->doc((new ReflectionClass($home))->getDocComment())->getTypeAliasTagValues() as $alias) {
                $fields = $alias->type instanceof ArrayShapeNode
                    ? $alias->type->items
                    : throw new LogicException("{$alias->alias} is no shape.");
                $lines = array_map(
                    fn (ArrayShapeItemNode $one): string => "    {$one->keyName}: {$this->print($one->valueType, $home)};\n",
                    $fields,
                );
                $this->add($alias->alias, $home, "export interface {$alias->alias} {\n".implode('', $lines)."}\n");
            }
        }
        foreach ($classes as $class) {
            $this->add(class_basename($class), $class, $this->interface($class));
        }
        ksort($this->types);

        return "// Made by `php artisan tally:types` from the classes that pages are made of. Do not edit.\n\n".implode("\n", $this->types);
    }

    /** In TypeScript the short name is all there is: two of one name would be taken for each other. */
    private function add(string $name, string $owner, string $type): void
    {
        $before = $this->owners[$name] ??= $owner;
        if ($before !== $owner) {
            throw new LogicException("{$name} is of {$before} and of {$owner}. Rename one of them.");
        }
        $this->types[$name] = $type;
    }

    /** @param  class-string  $class */
    private function interface(string $class): string
    {
        $reflection = new ReflectionClass($class);
        $constructor = $reflection->getConstructor() ?? throw new LogicException("{$class} has no constructor to read its props from.");
        $documented = [];
        foreach ($this->doc($constructor->getDocComment())->getParamTagValues() as $param) {
            $documented[ltrim($param->parameterName, '$')] = $param->type;
        }
        $lines = '';
        foreach ($constructor->getParameters() as $parameter) {
            $type = $documented[$parameter->getName()] ?? $this->type((string) $parameter->getType());
            $lines .= "    {$parameter->getName()}: {$this->print($type, $class)};\n";
        }

        return "export interface {$reflection->getShortName()} {\n{$lines}}\n";
    }

    private function doc(string|false $comment): PhpDocNode
    {
        $parser = new PhpDocParser($this->config, $this->typeParser, new ConstExprParser($this->config));

        return $parser->parse(new TokenIterator((new Lexer($this->config))->tokenize($comment === false ? '/** */' : $comment)));
    }

    private function type(string $native): TypeNode
    {
        $full = (string) preg_replace('/(?<![\w\\\\])(?=[A-Z]\w*\\\\)/', '\\', $native);

        return $this->typeParser->parse(new TokenIterator((new Lexer($this->config))->tokenize($full)));
    }

    /** @param  class-string  $in  whose names are meant */
    private function print(TypeNode $type, string $in): string
    {
        return match (true) {
            $type instanceof NullableTypeNode => "{$this->print($type->type, $in)} | null",
            $type instanceof UnionTypeNode => implode(' | ', $this->nullLast($type->types, $in)),
            $type instanceof ArrayShapeNode => $this->shape($type, $in),
            $type instanceof GenericTypeNode => $this->collection($type, $in),
            $type instanceof IdentifierTypeNode => $this->named($type->name, $in),
            default => throw new LogicException("No TypeScript for {$type}."),
        };
    }

    /**
     * @param  array<TypeNode>  $types
     * @param  class-string  $in
     * @return list<string>
     */
    private function nullLast(array $types, string $in): array
    {
        $printed = array_map(fn (TypeNode $one): string => $this->print($one, $in), array_values($types));
        $some = array_values(array_filter($printed, fn (string $one): bool => $one !== 'null'));

        return count($some) === count($printed) ? $some : [...$some, 'null'];
    }

    /** @param  class-string  $in */
    private function shape(ArrayShapeNode $type, string $in): string
    {
        $isTuple = array_filter($type->items, fn (ArrayShapeItemNode $one): bool => $one->keyName !== null) === [];
        $parts = array_map(
            fn (ArrayShapeItemNode $one): string => ($isTuple ? '' : "{$one->keyName}: ").$this->print($one->valueType, $in),
            $type->items,
        );

        return $isTuple ? '['.implode(', ', $parts).']' : '{ '.implode('; ', $parts).' }';
    }

    /** @param  class-string  $in */
    private function collection(GenericTypeNode $type, string $in): string
    {
        if (! in_array((string) $type->type, ['list', 'non-empty-list'], true)) {
            throw new LogicException("{$type} is no list: say list<…> in the docblock.");
        }
        $value = $this->print($type->genericTypes[0], $in);

        return str_contains($value, ' ') && preg_match('/^[\[{]/', $value) !== 1 ? "({$value})[]" : "{$value}[]";
    }

    /** @param  class-string  $in */
    private function named(string $name, string $in): string
    {
        return match ($name) {
            'int', 'float' => 'number',
            'string', 'null' => $name,
            'bool' => 'boolean',
            default => $this->ofOurs($name, $in),
        };
    }

    /** @param  class-string  $in */
    private function ofOurs(string $name, string $in): string
    {
        $class = ltrim((new TypeContextFactory())->createFromClassName($in)->normalize($name), '\\');
        if (! is_a($class, BackedEnum::class, true)) {
            return class_basename($name);
        }
        $short = class_basename($class);
        $values = array_map(fn (BackedEnum $case): string => "'{$case->value}'", $class::cases());
        $line = "export type {$short} = ".implode(' | ', $values).";\n";
        $this->add($short, $class, strlen($line) <= 121 ? $line : "export type {$short} =\n    | ".implode("\n    | ", $values).";\n");

        return $short;
    }
}
