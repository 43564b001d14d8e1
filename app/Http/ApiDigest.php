<?php

declare(strict_types=1);

namespace App\Http;

/** The contract in short: a line for each route and each schema, so that a change of it is seen in review. */
final class ApiDigest
{
    /**
     * @param  array<mixed>  $document  OpenAPI 3.1
     * @return list<string>
     */
    public static function of(array $document): array
    {
        $routes = $schemas = [];
        foreach ($document['paths'] ?? [] as $path => $methods) {
            foreach (array_intersect_key($methods, ['get' => 1, 'post' => 1, 'put' => 1, 'patch' => 1, 'delete' => 1]) as $method => $of) {
                $asked = array_map(static fn (array $one): string => ($one['name'] ?? basename((string) ($one['$ref'] ?? ''))).(($one['required'] ?? false) || isset($one['$ref']) ? '' : '?'), $of['parameters'] ?? []);
                $answers = array_map(static fn (int|string $status, array $answer): string => trim("{$status} ".self::content($answer)), array_keys($of['responses'] ?? []), $of['responses'] ?? []);
                $routes[] = rtrim(strtoupper($method)." {$path}(".implode(', ', $asked).') '.self::content($of['requestBody'] ?? [])).' -> '.implode(', ', $answers);
            }
        }
        foreach ($document['components']['schemas'] ?? [] as $name => $schema) {
            $schemas[] = "{$name}: ".self::said($schema);
        }
        sort($routes);
        sort($schemas);

        return [...$routes, '', ...$schemas];
    }

    /** @param  array<mixed>  $of  a body that is sent or answered */
    public static function content(array $of): string
    {
        $said = [];
        foreach ($of['content'] ?? [] as $type => $content) {
            $said[] = $type === 'application/json' ? self::said($content['schema'] ?? []) : $type;
        }

        return implode(' or ', $said);
    }

    /** @param  array<mixed>  $schema */
    public static function said(array $schema): string
    {
        $types = (array) ($schema['type'] ?? []);
        $parts = $schema['allOf'] ?? $schema['oneOf'] ?? null;
        $said = match (true) {
            isset($schema['$ref']) => basename((string) $schema['$ref']),
            $parts !== null => implode(isset($schema['allOf']) ? ' & ' : ' | ', array_map(self::said(...), $parts)),
            isset($schema['properties']) => '{'.self::fields($schema).'}',
            isset($schema['items']) => self::said($schema['items']).'[]',
            isset($schema['enum']) => implode('|', array_map(static fn (mixed $one): string => (string) json_encode($one), array_filter($schema['enum'], static fn (mixed $one): bool => $one !== null))),
            default => implode('|', array_diff($types, ['null'])) ?: 'any',
        };

        return in_array('null', $types, true) || ($schema['nullable'] ?? false) === true ? "{$said}|null" : $said;
    }

    /** @param  array<mixed>  $schema */
    private static function fields(array $schema): string
    {
        $required = $schema['required'] ?? [];

        return implode(', ', array_map(static fn (int|string $name, mixed $of): string => $name.(in_array((string) $name, $required, true) ? '' : '?').' '.self::said((array) $of), array_keys($schema['properties']), $schema['properties']));
    }
}
