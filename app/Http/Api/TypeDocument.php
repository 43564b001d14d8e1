<?php

declare(strict_types=1);

namespace App\Http\Api;

use BackedEnum;
use DateTimeInterface;
use LogicException;
use PHPStan\PhpDocParser\Ast\ConstExpr\ConstExprFloatNode;
use PHPStan\PhpDocParser\Ast\ConstExpr\ConstExprIntegerNode;
use PHPStan\PhpDocParser\Ast\ConstExpr\ConstExprStringNode;
use PHPStan\PhpDocParser\Ast\Type\ArrayShapeNode;
use PHPStan\PhpDocParser\Ast\Type\ConstTypeNode;
use PHPStan\PhpDocParser\Ast\Type\GenericTypeNode;
use PHPStan\PhpDocParser\Ast\Type\IdentifierTypeNode;
use PHPStan\PhpDocParser\Ast\Type\TypeNode;
use PHPStan\PhpDocParser\Ast\Type\UnionTypeNode;
use ReflectionProperty;
use Ustrel\Core\Measure\Day;
use Ustrel\Core\Measure\Moment;
use Ustrel\Core\Unit\Key;

/** The type of a field, as PHP and its comment have it, in the API document's words. */
final readonly class TypeDocument
{
    private const SCALARS = ['string' => ['type' => 'string'], 'int' => ['type' => 'integer'], 'float' => ['type' => 'number'], 'bool' => ['type' => 'boolean'], 'array' => ['type' => 'array'], 'mixed' => []];

    /** @param  array<string, string>  $abouts  of fields of array shapes */
    private function __construct(private ReflectionProperty $in, private array $abouts)
    {
    }

    /**
     * @param  class-string<Schema>  $schema
     * @return array<string, mixed>
     */
    public static function of(SchemaField $field, string $schema): array
    {
        if ($field->typeNode === null) {
            return self::named($field->type);
        }
        $in = new ReflectionProperty($schema, $field->name);

        return (new self($in, FieldComment::ofShape($in)))->node($field->typeNode);
    }

    /**
     * @param  array<string, mixed>  $type
     * @return array<string, mixed>
     */
    public static function orNull(array $type): array
    {
        return isset($type['$ref']) || isset($type['oneOf']) ? ['oneOf' => [...$type['oneOf'] ?? [$type], ['type' => 'null']]]
            : (isset($type['enum']) ? ['enum' => [...$type['enum'], null]] : []) + (isset($type['type']) ? ['type' => [$type['type'], 'null']] : []) + $type;
    }

    /** @return array<string, mixed> */
    private static function named(string $of): array
    {
        return match (true) {
            is_subclass_of($of, Schema::class) => ['$ref' => "#/components/schemas/{$of::schemaName()}"],
            is_subclass_of($of, BackedEnum::class), is_subclass_of($of, Key::class) => isset(Contract::ENUMS[$of]) ? ['$ref' => '#/components/schemas/'.class_basename($of)] : ['type' => 'string', 'enum' => array_column($of::cases(), 'value')],
            $of === Day::class => ['type' => 'string', 'format' => 'date'],
            $of === DateTimeInterface::class, $of === Moment::class => ['type' => 'string', 'format' => 'date-time'],
            default => self::SCALARS[$of] ?? throw new LogicException("The API has no word for {$of}"),
        };
    }

    /** @return array<string, mixed> */
    private function node(TypeNode $type): array
    {
        $bare = FieldComment::withoutNull($type);
        if ((string) $bare !== (string) $type) {
            return self::orNull($this->node($bare));
        }

        return match (true) {
            $type instanceof IdentifierTypeNode => self::named(FieldComment::named($type->name, $this->in->getDeclaringClass())),
            $type instanceof GenericTypeNode => $this->generic($type),
            $type instanceof ArrayShapeNode => $this->shape($type),
            $type instanceof ConstTypeNode, $type instanceof UnionTypeNode => $this->oneOf($type instanceof UnionTypeNode ? $type->types : [$type]),
            default => throw new LogicException("The API has no word for {$type}"),
        };
    }

    /** @return array<string, mixed> */
    private function generic(GenericTypeNode $type): array
    {
        $of = $type->genericTypes;

        return match ((string) $type->type) {
            'list', 'non-empty-list' => ['type' => 'array', 'items' => $this->node($of[0])],
            'array' => ['type' => 'object', 'additionalProperties' => $this->node($of[1])],
            'int' => ['type' => 'integer', 'minimum' => (int) (string) $of[0], 'maximum' => (int) (string) $of[1]],
            default => throw new LogicException("The API has no word for {$type}"),
        };
    }

    /** @return array<string, mixed> */
    private function shape(ArrayShapeNode $type): array
    {
        $properties = $required = [];
        foreach ($type->items as $item) {
            $name = trim((string) $item->keyName, "'");
            $about = $this->abouts[$name] ?? '';
            $properties[$name] = ($about === '' ? [] : ['description' => $about]) + $this->node($item->valueType);
            if (! $item->optional) {
                $required[] = $name;
            }
        }

        return ($required === [] ? [] : ['required' => $required]) + ['properties' => $properties, 'type' => 'object'];
    }

    /**
     * @param  TypeNode[]  $types
     * @return array<string, mixed>
     */
    private function oneOf(array $types): array
    {
        $values = array_map(static fn (TypeNode $one): mixed => ! $one instanceof ConstTypeNode ? null : match (true) {
            $one->constExpr instanceof ConstExprStringNode => $one->constExpr->value,
            $one->constExpr instanceof ConstExprIntegerNode => (int) $one->constExpr->value,
            $one->constExpr instanceof ConstExprFloatNode => (float) $one->constExpr->value,
            default => null,
        }, $types);

        return in_array(null, $values, true)
            ? ['oneOf' => array_map($this->node(...), $types)]
            : ['type' => is_string($values[0]) ? 'string' : 'number', 'enum' => array_values($values)];
    }
}
