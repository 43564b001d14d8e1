<?php

declare(strict_types=1);

namespace App\Http\Api;

use PHPStan\PhpDocParser\Ast\Type\GenericTypeNode;
use PHPStan\PhpDocParser\Ast\Type\IdentifierTypeNode;
use PHPStan\PhpDocParser\Ast\Type\TypeNode;
use ReflectionClass;
use ReflectionNamedType;
use ReflectionParameter;
use ReflectionProperty;

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
        /** What its comment says of its type, more exactly. */
        public ?TypeNode $typeNode,
        /** Of a list, the class or type of what is in it; null of anything else. */
        public ?string $items,
        public bool $isInlined,
        public bool $isOmittedWhenNull,
        /** By keys of its own: an object in JSON, empty or not. */
        public bool $isMap,
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
                $known[$schema][$parameter->getName()] = self::read($parameter, new ReflectionProperty($schema, $parameter->getName()));
            }
        }

        return $known[$schema];
    }

    private static function read(ReflectionParameter $parameter, ReflectionProperty $property): self
    {
        $type = $parameter->getType();
        $comment = FieldComment::of($property);
        $node = $comment->type;
        $item = $node instanceof GenericTypeNode && in_array((string) $node->type, ['list', 'non-empty-list'], true) ? $node->genericTypes[0] : null;

        return new self(
            $parameter->getName(),
            $type instanceof ReflectionNamedType ? $type->getName() : 'mixed',
            $type?->allowsNull() ?? true,
            $parameter->isDefaultValueAvailable(),
            $parameter->isDefaultValueAvailable() ? $parameter->getDefaultValue() : null,
            $comment->about,
            ($property->getAttributes(Field::class)[0] ?? null)?->newInstance() ?? new Field,
            $node,
            $item instanceof IdentifierTypeNode ? FieldComment::named($item->name, $property->getDeclaringClass()) : null,
            $property->getAttributes(Inlined::class) !== [],
            $property->getAttributes(OmittedWhenNull::class) !== [],
            $node instanceof GenericTypeNode && (string) $node->type === 'array',
        );
    }
}
