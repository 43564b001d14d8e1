<?php

declare(strict_types=1);

namespace App\Http\Api;

use BackedEnum;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;
use ReflectionMethod;
use ReflectionNamedType;
use Symfony\Component\Finder\Finder;
use Ustrel\Core\Measure\Day;

/** Adds to the API document what follows from the schema classes, the routes and what controllers ask for. */
final class Contract
{
    private const TYPES = ['string' => 'string', 'int' => 'integer', 'float' => 'number', 'bool' => 'boolean', 'array' => 'array'];

    private const REFUSED = ['$ref' => '#/components/responses/Refused'];

    /** @var array<string, mixed> schemas that attributes make */
    private static array $named = [];

    /**
     * @param  array<mixed>  $document  OpenAPI 3.1, as attributes make it
     * @return array<mixed>
     */
    public static function complete(array $document): array
    {
        self::$named = $document['components']['schemas'] ?? [];
        foreach (self::schemas() as $schema) {
            $document['components']['schemas'][$schema::schemaName()] = self::schema($schema);
        }
        ksort($document['components']['schemas']);
        foreach (Routes::getRoutes()->getRoutes() as $route) {
            [$path, $method] = ["/{$route->uri()}", strtolower($route->methods()[0])];
            if (isset($document['paths'][$path][$method])) {
                $document['paths'][$path][$method] = self::operation($document['paths'][$path][$method], $route);
            }
        }

        return $document;
    }

    /**
     * @param  array<mixed>  $document
     * @return list<string> references in it to what is not there
     */
    public static function dangling(array $document): array
    {
        $known = array_merge(...array_map(static fn (string $kind): array => array_map(static fn (int|string $name): string => "#/components/{$kind}/{$name}", array_keys($document['components'][$kind] ?? [])), ['schemas', 'responses', 'parameters']));
        $used = [];
        array_walk_recursive($document, static function (mixed $value, int|string $key) use (&$used): void {
            if ($key === '$ref') {
                $used[] = (string) $value;
            }
        });

        return array_values(array_unique(array_diff($used, $known)));
    }

    /** @return list<class-string<Schema>> */
    private static function schemas(): array
    {
        $schemas = [];
        foreach (Finder::create()->files()->in(app_path())->path('/Http\//')->name(['*View.php', '*Edit.php'])->sortByName() as $file) {
            $class = 'App\\'.strtr($file->getRelativePathname(), ['/' => '\\', '.php' => '']);
            if (is_subclass_of($class, Schema::class)) {
                $schemas[] = $class;
            }
        }

        return $schemas;
    }

    /**
     * @param  class-string<Schema>  $schema
     * @return array<string, mixed>
     */
    private static function schema(string $schema, bool $isWhole = false): array
    {
        $properties = $required = [];
        foreach (SchemaField::of($schema) as $name => $field) {
            if ($field->isInlined && is_subclass_of($field->type, Schema::class)) {
                $inlined = self::schema($field->type, true);
                $properties += $inlined['properties'];
                $required = [...$required, ...$inlined['required']];

                continue;
            }
            // Of what is sent, what may be left out may be null.
            $properties[$name] = self::property($field, $field->isNullable || ($field->isOptional && ! $isWhole));
            if ($isWhole || ! $field->isOptional) {
                $required[] = $name;
            }
        }

        return ($required === [] ? [] : ['required' => $required]) + ['properties' => $properties, 'type' => 'object'];
    }

    /** @return array<string, mixed> */
    private static function property(SchemaField $field, bool $isNullable): array
    {
        $said = $field->about === '' ? [] : ['description' => $field->about];
        if ($field->items !== null) {
            return $said + ['type' => $isNullable ? ['array', 'null'] : 'array', 'items' => self::type($field->items)];
        }
        $type = self::type($field->type);

        return $said + match (true) {
            ! $isNullable => $type,
            isset($type['$ref']) => ['oneOf' => [$type, ['type' => 'null']]],
            default => ['type' => [$type['type'], 'null']] + $type,
        } + self::bounds($field);
    }

    /** @return array<string, mixed> */
    private static function type(string $of): array
    {
        return match (true) {
            is_subclass_of($of, Schema::class) => ['$ref' => "#/components/schemas/{$of::schemaName()}"],
            is_subclass_of($of, BackedEnum::class) => self::enum($of),
            $of === Day::class => ['type' => 'string', 'format' => 'date'],
            default => ['type' => self::TYPES[$of]],
        };
    }

    /**
     * By reference where the document has it under its own name.
     *
     * @param  class-string<BackedEnum>  $of
     * @return array<string, mixed>
     */
    private static function enum(string $of): array
    {
        $name = class_basename($of);

        return isset(self::$named[$name]) ? ['$ref' => "#/components/schemas/{$name}"] : ['type' => 'string', 'enum' => array_column($of::cases(), 'value')];
    }

    /** @return array<string, mixed> what its rules say of its size */
    private static function bounds(SchemaField $field): array
    {
        $bounds = [];
        [$least, $most] = $field->type === 'string' ? ['minLength', 'maxLength'] : ['minimum', 'maximum'];
        foreach ($field->field->rules as $rule) {
            [$name, $figures] = [...explode(':', $rule, 2), ''];
            $words = explode(',', $figures);
            $figures = array_map(floatval(...), $words);
            $bounds += match ($name) {
                'in' => ['enum' => $field->isNullable ? [...$words, null] : $words],
                'between' => [$most => $figures[1], $least => $figures[0]],
                'max' => [$most => $figures[0]],
                'min' => [$least => $figures[0]],
                'uuid' => ['format' => 'uuid'],
                default => [],
            };
        }

        return array_map(static fn (mixed $figure): mixed => is_float($figure) && floor($figure) === $figure ? (int) $figure : $figure, $bounds);
    }

    /**
     * @param  array<mixed>  $operation
     * @return array<mixed>
     */
    private static function operation(array $operation, Route $route): array
    {
        $controller = new ReflectionMethod($route->getControllerClass() ?? '', str_contains($route->getActionName(), '@') ? $route->getActionMethod() : '__invoke');
        $named = array_map(static fn (array $of): string => $of['name'] ?? basename((string) ($of['$ref'] ?? '')), $operation['parameters'] ?? []);
        $ofPath = array_map(static fn (string $name): array => ['name' => $name, 'in' => 'path', 'required' => true, 'schema' => isset($route->wheres[$name]) ? ['type' => 'integer'] : ['type' => 'string']], array_diff($route->parameterNames(), $named));
        $operation['parameters'] = [...array_values($ofPath), ...$operation['parameters'] ?? []];
        foreach ($controller->getParameters() as $parameter) {
            $type = $parameter->getType();
            if ($type instanceof ReflectionNamedType && is_subclass_of($type->getName(), Input::class)) {
                $input = $type->getName();
                $operation['requestBody'] = ['required' => true, 'content' => ['application/json' => ['schema' => ['$ref' => "#/components/schemas/{$input::schemaName()}"]]]];
            }
        }
        $isAsked = isset($operation['requestBody']);
        $operation['responses'] += ($route->parameterNames() === [] ? [] : ['404' => ['$ref' => '#/components/responses/NotFound']])
            + ($isAsked ? ['400' => self::REFUSED] : [])
            + ($isAsked || count($operation['parameters']) > count($route->parameterNames()) ? ['422' => self::REFUSED] : []);
        ksort($operation['responses']);

        return array_filter($operation, static fn (mixed $of): bool => $of !== []);
    }
}
