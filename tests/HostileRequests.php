<?php

declare(strict_types=1);

namespace Tests;

use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Requests that nobody should send, made from the OpenAPI document: each begins as the document has it, and then a few
 * things about it are put wrong. The same ones for the same seed.
 */
final class HostileRequests
{
    /** @var array<string, mixed> */
    private readonly array $document;

    private readonly Randomizer $random;

    /** @param  array<string, string>  $ids  of things that are there, by path parameter */
    public function __construct(int $seed, private readonly array $ids)
    {
        $this->document = json_decode((string) file_get_contents(public_path('openapi.json')), true, 64, JSON_THROW_ON_ERROR);
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** @return list<array{string, string, array<string, mixed>}> method, path and operation of everything that can be called */
    public function operations(): array
    {
        $operations = [];
        foreach ($this->document['paths'] as $path => $methods) {
            foreach ($methods as $method => $operation) {
                $operations[] = [strtoupper($method), $path, $operation];
            }
        }

        return $operations;
    }

    /**
     * @param  array<string, mixed>  $operation
     * @return array{string, string, string} address, content type and body
     */
    public function make(string $path, array $operation): array
    {
        $address = (string) preg_replace_callback('/\{(\w+)\}/', fn (array $found): string => $this->chance(15) ? rawurlencode($this->hostileText()) : $this->ids[$found[1]] ?? '1', $path);
        $query = [];
        foreach ($operation['parameters'] ?? [] as $parameter) {
            $parameter = $this->resolve($parameter);
            if ($parameter['in'] === 'query' && $this->chance(80)) {
                $value = $this->chance(40) ? $this->hostile() : $this->fitting($parameter['schema'], 0);
                $query[] = is_array($value) ? rawurlencode($parameter['name']).'[]=1' : rawurlencode($parameter['name']).'='.($this->chance(5) ? '%ff' : rawurlencode(self::text($value)));
            }
        }
        $address .= $query === [] ? '' : '?'.implode('&', $query);
        $content = $operation['requestBody']['content'] ?? [];
        if (isset($content['multipart/form-data'])) {
            return [$address, 'multipart/form-data', json_encode($this->mangled($this->fitting($content['multipart/form-data']['schema'], 0)), JSON_PARTIAL_OUTPUT_ON_ERROR) ?: '{}'];
        }
        if (! isset($content['application/json'])) {
            return [$address, 'application/json', ''];
        }
        $body = $this->json($this->mangled($this->fitting($content['application/json']['schema'], 0)));

        return [$address, 'application/json', match ($this->random->getInt(0, 29)) {
            0 => substr($body, 0, intdiv(strlen($body), 2)),
            1 => '"text"',
            2 => str_repeat('[', 200),
            3 => substr_replace($body, "\xff", intdiv(strlen($body), 2), 1),
            default => $body,
        }];
    }

    /** A body as JSON, with numbers that PHP cannot hold where they are asked for. */
    private function json(mixed $body): string
    {
        $json = json_encode($body, JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_UNESCAPED_SLASHES) ?: 'null';

        return str_replace(['"~1e400"', '"~big"', '"~nul"', '"~1.0"'], ['1e400', '99999999999999999999', '"a\\u0000b"', '1.0'], $json);
    }

    /** With one to three of its values put wrong, wherever they are. */
    private function mangled(mixed $value): mixed
    {
        for ($times = $this->random->getInt(0, 3); $times > 0; $times--) {
            $value = $this->mangle($value);
        }

        return $value;
    }

    private function mangle(mixed $value): mixed
    {
        if (is_array($value) && $value !== [] && $this->chance(85)) {
            $key = array_keys($value)[$this->random->getInt(0, count($value) - 1)];
            if ($this->chance(10)) {
                unset($value[$key]);
            } else {
                $value[$key] = $this->mangle($value[$key]);
            }

            return $value;
        }

        return $this->hostile();
    }

    private function hostile(): mixed
    {
        $values = [
            null, true, false, 0, 1, -1, 2, 48, 49, 1.5, 0.0004, 9999.9999, 10_000, -0.0, 1e17, 9.3e18, PHP_INT_MAX, PHP_INT_MIN, '~1e400', '~big', '~nul', '~1.0',
            '', ' ', '1', '5', '1.0', '0', 'true', 'null', 'x', [], [1], ['a' => 1], [[]], [['rows' => 'x']], ['x' => ['y' => [1, 2]]],
            '2026-02-30', '0000-01-01', '0000-01-01T00:00:00Z', '9999-12-31T23:59:59Z', '2026-03-01T09:30:00Z', '2026-03-01T25:00:00Z', '2026-02-30T10:00:00Z', '2026-03-01', '+99999-01-01T00:00:00Z',
            '0198b0c0-0000-7000-8000-000000000000', str_repeat('a', 70_000), str_repeat('9', 20), 'DROP TABLE', '%', '\\', "\u{202E}", "\u{FFFF}", '🚜', "line\nbreak", '14 3/8', '1/0', '-14', '1e5', '99999999999 in',
        ];

        return $values[$this->random->getInt(0, count($values) - 1)];
    }

    private function hostileText(): string
    {
        $texts = ['0', '-1', '1e5', '99999999999999999999', 'x', '%00', "\xff", ' ', '../..', '1.5', '0198b0c0-0000-7000-8000-000000000000', str_repeat('1', 300)];

        return $texts[$this->random->getInt(0, count($texts) - 1)];
    }

    /**
     * A value as a schema has it.
     *
     * @param  array<string, mixed>  $schema
     */
    private function fitting(array $schema, int $depth): mixed
    {
        $schema = $this->resolve($schema);
        foreach ($schema['allOf'] ?? [] as $part) {
            $schema['properties'] = ($schema['properties'] ?? []) + ($this->resolve($part)['properties'] ?? []);
        }
        if (isset($schema['oneOf'])) {
            return $this->fitting($schema['oneOf'][0], $depth);
        }
        if (isset($schema['enum'])) {
            return $schema['enum'][$this->random->getInt(0, count($schema['enum']) - 1)];
        }
        $type = is_array($schema['type'] ?? null) ? $schema['type'][0] : $schema['type'] ?? (isset($schema['properties']) ? 'object' : 'string');

        return match ($type) {
            'object' => $this->object($schema, $depth),
            'array' => $depth > 4 ? [] : array_map(fn (): mixed => $this->fitting($schema['items'] ?? [], $depth + 1), range(1, $this->random->getInt(1, 3))),
            'integer' => $this->random->getInt($least = (int) ($schema['minimum'] ?? 1), (int) min($schema['maximum'] ?? $least + 9, $least + 9)),
            'number' => $this->random->getInt(1, 900) / 10,
            'boolean' => $this->chance(50),
            default => $this->string($schema),
        };
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private function object(array $schema, int $depth): array
    {
        $object = [];
        foreach ($schema['properties'] ?? [] as $name => $property) {
            if (in_array($name, $schema['required'] ?? [], true) || $this->chance(60)) {
                $object[$name] = $this->fitting($property, $depth + 1);
            }
        }
        if ($object === [] && isset($schema['additionalProperties']) && $depth < 4) {
            $object['opener_blade_diameter'] = $this->fitting($schema['additionalProperties'], $depth + 1);
        }

        return $object;
    }

    /** @param  array<string, mixed>  $schema */
    private function string(array $schema): string
    {
        return match ($schema['format'] ?? '') {
            'uuid' => sprintf('0198b0c0-%04x-7000-8000-%012x', $this->random->getInt(0, 0xFFFF), $this->random->getInt(0, 2 ** 40)),
            'date-time' => sprintf('2025-%02d-%02dT10:00:00Z', $this->random->getInt(1, 12), $this->random->getInt(1, 28)),
            'date' => sprintf('2025-%02d-%02d', $this->random->getInt(1, 12), $this->random->getInt(1, 28)),
            default => ['14 3/4', '30 in', 'Long Field', '800 mi', '5', 'x'][$this->random->getInt(0, 5)],
        };
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

    private static function text(mixed $value): string
    {
        return is_bool($value) ? ($value ? 'true' : 'false') : (string) ($value ?? '');
    }

    private function chance(int $percent): bool
    {
        return $this->random->getInt(1, 100) <= $percent;
    }
}
