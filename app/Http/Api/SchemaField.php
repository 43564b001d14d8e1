<?php

declare(strict_types=1);

namespace App\Http\Api;

use ReflectionClass;
use ReflectionNamedType;
use ReflectionParameter;

/** A field of a schema, as its class tells. */
final readonly class SchemaField
{
    private function __construct(
        public string $name,
        /** Class, or `string`, `int`, `float`, `bool`, `array`. */
        public string $type,
        public bool $isNullable,
        public bool $isOptional,
        public mixed $default,
        public string $about,
        public Field $field,
        public ?string $items,
        public bool $isInlined,
    ) {
    }

    /**
     * @param  class-string<Schema>  $schema
     * @return array<string, self> by name, in the order of the constructor
     */
    public static function of(string $schema): array
    {
        static $known = [];
        if (! isset($known[$schema])) {
            $known[$schema] = [];
            foreach ((new ReflectionClass($schema))->getConstructor()?->getParameters() ?? [] as $parameter) {
                $known[$schema][$parameter->getName()] = self::read($schema, $parameter);
            }
        }

        return $known[$schema];
    }

    /**
     * The class of a short name, as the file that has it imports it.
     *
     * @param  ReflectionClass<Schema>  $in
     */
    private static function named(string $short, ReflectionClass $in): string
    {
        if (in_array($short, ['string', 'int', 'float', 'bool'], true)) {
            return $short;
        }
        $imports = preg_match("~^use ([\\w\\\\]+\\\\{$short});$~m", (string) file_get_contents((string) $in->getFileName()), $found) === 1;

        return $imports ? $found[1] : "{$in->getNamespaceName()}\\{$short}";
    }

    /** @param  class-string<Schema>  $schema */
    private static function read(string $schema, ReflectionParameter $parameter): self
    {
        $type = $parameter->getType();
        $property = (new ReflectionClass($schema))->getProperty($parameter->getName());
        $comment = (string) $property->getDocComment();

        return new self(
            $parameter->getName(),
            $type instanceof ReflectionNamedType ? $type->getName() : 'mixed',
            $type?->allowsNull() ?? true,
            $parameter->isDefaultValueAvailable(),
            $parameter->isDefaultValueAvailable() ? $parameter->getDefaultValue() : null,
            trim((string) preg_replace('~^/\*\*\s*|\s*\*/$|^\s*\*\s?|@var\s+[^\s>]+>?\s*~m', '', $comment)),
            ($property->getAttributes(Field::class)[0] ?? null)?->newInstance() ?? new Field,
            preg_match('~@var\s+(?:non-empty-)?list<(\w+)>~', $comment, $found) === 1 ? self::named($found[1], $property->getDeclaringClass()) : null,
            $property->getAttributes(Inlined::class) !== [],
        );
    }
}
