<?php

declare(strict_types=1);

namespace App\Http\Api;

use App\Models\People\Role;
use App\Models\Record\ImportState;
use App\Record\Import\ImportKind;
use App\Record\Import\ImportMode;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\Route as Routes;
use ReflectionMethod;
use ReflectionNamedType;
use Symfony\Component\Finder\Finder;
use Ustrel\Core\Field\Diagnosis\Symptom;
use Ustrel\Core\Measure\Unit;
use Ustrel\Core\Parts\RemovalReason;
use Ustrel\Core\Parts\Slot;
use Ustrel\Core\Spec\CheckKey;
use Ustrel\Core\Spec\CheckKind;
use Ustrel\Core\Spec\Judging\Chip;
use Ustrel\Core\Spec\Judging\State;
use Ustrel\Core\Spec\Judging\Verdict;
use Ustrel\Core\Spec\Side;
use Ustrel\Core\Spec\Station;
use Ustrel\Core\Walk\Entry;
use Ustrel\Core\Walk\NoteKind;
use Ustrel\Core\Walk\Result;
use Ustrel\Core\Walk\WalkKind;
use Ustrel\Core\Walk\WalkOrder;

/** Adds to the API document what follows from the schema classes, the routes and what controllers ask for. */
final class Contract
{
    /** Lists of words that the document has by name, and what it says of them. */
    public const ENUMS = [
        CheckKey::class => '',
        CheckKind::class => '',
        Chip::class => '',
        Entry::class => '',
        ImportKind::class => '',
        ImportMode::class => 'preview: only say what it holds; whole: all or nothing; good: the good lines',
        ImportState::class => '',
        NoteKind::class => 'hard_joint: seized or hard to open; the next walks warn of it',
        RemovalReason::class => '',
        Result::class => '',
        Role::class => '',
        Side::class => '',
        Slot::class => 'Where a part goes',
        State::class => '',
        Station::class => 'In the order of the row unit, front to back',
        Symptom::class => '',
        Unit::class => '',
        Verdict::class => '',
        WalkKind::class => '',
        WalkOrder::class => '',
    ];

    private const REFUSED = ['$ref' => '#/components/responses/Refused'];

    /**
     * @param  array<mixed>  $document  OpenAPI 3.1, as attributes make it
     * @return array<mixed>
     */
    public static function complete(array $document): array
    {
        foreach (self::ENUMS as $enum => $about) {
            $document['components']['schemas'][class_basename($enum)] = ($about === '' ? [] : ['description' => $about]) + ['type' => 'string', 'enum' => array_column($enum::cases(), 'value')];
        }
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
                $required = [...$required, ...$inlined['required'] ?? []];

                continue;
            }
            $properties[$name] = self::property($field, $schema, $isWhole);
            if (($isWhole || ! $field->isOptional) && ! $field->isOmittedWhenNull) {
                $required[] = $name;
            }
        }

        return ($required === [] ? [] : ['required' => $required]) + ['properties' => $properties, 'type' => 'object'];
    }

    /**
     * @param  class-string<Schema>  $schema
     * @return array<string, mixed>
     */
    private static function property(SchemaField $field, string $schema, bool $isWhole): array
    {
        // Of what is sent, what may be left out may be null; what an answer leaves out is never null.
        $isNullable = ! $field->isOmittedWhenNull && ($field->isNullable || ($field->isOptional && ! $isWhole));
        $type = TypeDocument::of($field, $schema);

        return ($field->about === '' ? [] : ['description' => $field->about]) + ($isNullable ? TypeDocument::orNull($type) : $type) + ($field->type === 'array' ? [] : self::bounds($field));
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
