<?php

declare(strict_types=1);

namespace Tests\Support;

use PhpParser\Node;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\NameResolver;
use PhpParser\NodeVisitorAbstract;
use PhpParser\ParserFactory;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use RuntimeException;
use SplFileInfo;

/** What the files below a folder name, as PHP understands them: no comment, no text, whatever way a name is written. */
final class ParsedCode extends NodeVisitorAbstract
{
    /** @var array<string, array<string, true>> file, from the folder → classes with their namespaces */
    public array $classes = [];

    /** @var array<string, array<string, true>> file → functions that it calls */
    public array $calls = [];

    /** @var array<string, true> files that declare strict types */
    public array $strict = [];

    private string $file = '';

    private function __construct() {}

    public static function below(string $folder): self
    {
        $code = new self();
        $parser = (new ParserFactory())->createForHostVersion();
        $traverser = new NodeTraverser(new NameResolver(), $code);
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, RecursiveDirectoryIterator::SKIP_DOTS)) as $file) {
            assert($file instanceof SplFileInfo);
            if ($file->getExtension() === 'php') {
                $code->file = substr($file->getPathname(), strlen($folder) + 1);
                $code->classes[$code->file] = $code->calls[$code->file] = [];
                $statements = $parser->parse((string) file_get_contents($file->getPathname()));
                $traverser->traverse($statements ?? throw new RuntimeException("{$code->file} holds nothing."));
            }
        }
        ksort($code->classes);

        return $code;
    }

    public function enterNode(Node $node): null
    {
        if ($node instanceof Node\Expr\FuncCall && $node->name instanceof Node\Name) {
            $this->calls[$this->file][$node->name->toLowerString()] = true;
        } elseif ($node instanceof Node\Name\FullyQualified) {
            $this->classes[$this->file][$node->toString()] = true;
        } elseif ($node instanceof Node\UseItem) {
            // Also what only a docblock speaks of.
            $this->classes[$this->file][$node->name->toString()] = true;
        } elseif ($node instanceof Node\DeclareItem && $node->key->toString() === 'strict_types') {
            $this->strict[$this->file] = true;
        }

        return null;
    }

    /**
     * Those that use what stands behind them.
     *
     * @param  list<string>  $rooms  each may use those before it and none behind it
     * @return list<string> sentences
     */
    public function breaches(string $namespace, array $rooms): array
    {
        $breaches = [];
        foreach ($this->classes as $file => $classes) {
            $room = explode('/', $file)[0];
            $place = array_search($room, $rooms, true);
            if ($place === false) {
                $breaches[] = "{$file}: {$room} stands nowhere in the list of rooms";
            }
            foreach (array_keys($classes) as $class) {
                $parts = explode('\\', $class);
                $at = $parts[0] === $namespace && isset($parts[2]) ? array_search($parts[1], $rooms, true) : 0;
                if ($place !== false && ($at === false || $at > $place)) {
                    $breaches[] = "{$file} uses {$class}, which stands behind {$room}";
                }
            }
        }

        return $breaches;
    }
}
