<?php

declare(strict_types=1);

namespace App\Http\Api;

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
use ReflectionProperty;

/** What the comment on a field says: its description, and its type where PHP's own is too wide (`@var list<Slot>`). */
final readonly class FieldComment
{
    private const BUILT_IN = ['string', 'int', 'float', 'bool', 'array', 'mixed', 'null', 'true', 'false'];

    private function __construct(
        public string $about,
        /** Without null, which PHP's own type says. */
        public ?TypeNode $type,
    ) {
    }

    public static function of(ReflectionProperty $property): self
    {
        $comment = (string) $property->getDocComment();
        $about = trim((string) preg_replace('~^\s*(/\*)?\*+/?[ \t]?|\s*\*/$~m', '', explode('@var', $comment)[0]));
        if (! str_contains($comment, '@var')) {
            return new self($about, null);
        }
        $config = new ParserConfig([]);
        $constants = new ConstExprParser($config);
        $tag = (new PhpDocParser($config, new TypeParser($config, $constants), $constants))->parse(new TokenIterator((new Lexer($config))->tokenize($comment)))->getVarTagValues()[0] ?? null;

        return new self(trim("{$about} {$tag?->description}"), $tag === null ? null : self::withoutNull($tag->type));
    }

    /**
     * @return array<string, string> what stands behind the fields of an array shape (`name: string, // As it is called now`), by field
     */
    public static function ofShape(ReflectionProperty $property): array
    {
        preg_match_all('~^\s*\*\s+(\w+)\??: .*, // (.+)$~m', (string) $property->getDocComment(), $found);

        return array_combine($found[1], $found[2]);
    }

    /**
     * The class of a short name, as the file that has it imports it.
     *
     * @param  ReflectionClass<object>  $in
     */
    public static function named(string $short, ReflectionClass $in): string
    {
        if (in_array($short, self::BUILT_IN, true)) {
            return $short;
        }
        $imports = preg_match("~^use ([\\w\\\\]+\\\\{$short}|{$short});$~m", (string) file_get_contents((string) $in->getFileName()), $found) === 1;

        return $imports ? $found[1] : "{$in->getNamespaceName()}\\{$short}";
    }

    public static function withoutNull(TypeNode $type): TypeNode
    {
        if ($type instanceof NullableTypeNode) {
            return $type->type;
        }
        $types = $type instanceof UnionTypeNode ? array_values(array_filter($type->types, static fn (TypeNode $one): bool => (string) $one !== 'null')) : [$type];

        return count($types) === 1 ? $types[0] : new UnionTypeNode($types);
    }
}
