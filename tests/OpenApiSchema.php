<?php

declare(strict_types=1);

namespace Tests;

/** Holds an answer against a schema of the OpenAPI document: the part of JSON Schema that the document uses. */
final class OpenApiSchema
{
    /** @var array<string, mixed> */
    private readonly array $document;

    public function __construct()
    {
        $this->document = json_decode((string) file_get_contents(public_path('openapi.json')), true, 64, JSON_THROW_ON_ERROR);
    }

    /** @return list<string> what does not agree, each with its path */
    public function faults(string $method, string $path, int $status, mixed $answer): array
    {
        $response = $this->document['paths'][$path][$method]['responses'][(string) $status] ?? null;
        if ($response === null) {
            return ["{$method} {$path} does not describe the answer {$status}"];
        }
        $response = $this->resolve($response);
        $schema = $response['content']['application/json']['schema'] ?? null;

        return $schema === null ? [] : $this->check($schema, $answer, '$');
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return list<string>
     */
    private function check(array $schema, mixed $value, string $at): array
    {
        $schema = $this->flat($schema);
        if (isset($schema['oneOf'])) {
            $tried = array_map(fn (array $one): array => $this->check($one, $value, $at), $schema['oneOf']);

            return in_array([], $tried, true) ? [] : $tried[0];
        }
        $faults = [];
        $types = (array) ($schema['type'] ?? []);
        if ($types !== [] && ! array_filter($types, static fn (string $type): bool => self::is($type, $value))) {
            return [...$faults, "{$at} is ".json_encode($value).', not '.implode(' or ', $types)];
        }
        if (isset($schema['enum']) && $value !== null && ! in_array($value, $schema['enum'], true)) {
            $faults[] = "{$at} is ".json_encode($value).', not one of '.implode(', ', $schema['enum']);
        }
        foreach ($schema['required'] ?? [] as $name) {
            if (! is_array($value) || ! array_key_exists($name, $value)) {
                $faults[] = "{$at}.{$name} is missing";
            }
        }

        return [...$faults, ...$this->checkInside($schema, $value, $at)];
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return list<string>
     */
    private function checkInside(array $schema, mixed $value, string $at): array
    {
        $faults = [];
        foreach (is_array($value) ? $value : [] as $key => $inner) {
            $of = $schema['properties'][$key] ?? $schema['items'] ?? $schema['additionalProperties'] ?? null;
            if ($of !== null) {
                array_push($faults, ...$this->check($of, $inner, "{$at}.{$key}"));
            } elseif (isset($schema['properties'])) {
                $faults[] = "{$at}.{$key} is not described";
            }
        }

        return $faults;
    }

    /**
     * A schema with what it is put together from.
     *
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private function flat(array $schema): array
    {
        $schema = $this->resolve($schema);
        foreach ($schema['allOf'] ?? [] as $part) {
            $part = $this->flat($part);
            $schema['properties'] = ($schema['properties'] ?? []) + ($part['properties'] ?? []);
            $schema['required'] = [...$schema['required'] ?? [], ...$part['required'] ?? []];
        }

        return $schema;
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private function resolve(array $schema): array
    {
        while (isset($schema['$ref'])) {
            $found = $this->document;
            foreach (explode('/', substr($schema['$ref'], 2)) as $step) {
                $found = $found[$step];
            }
            $schema = $found;
        }

        return $schema;
    }

    private static function is(string $type, mixed $value): bool
    {
        return match ($type) {
            'null' => $value === null,
            'string' => is_string($value),
            'integer' => is_int($value),
            'number' => is_int($value) || is_float($value),
            'boolean' => is_bool($value),
            'array' => is_array($value) && array_is_list($value),
            'object' => is_array($value) && ($value === [] || ! array_is_list($value)),
            default => false,
        };
    }
}
