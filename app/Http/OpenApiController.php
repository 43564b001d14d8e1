<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Contracts\View\View;

/** The HTTP API for people to read; for programs it is at /openapi.json. */
final class OpenApiController
{
    public function __invoke(): View
    {
        $document = json_decode((string) @file_get_contents(public_path('openapi.json')), true);
        abort_unless(is_array($document), 404);
        $shared = $document['components']['responses'] ?? [];
        $answerOf = static fn (array $answer): array => $shared[basename((string) ($answer['$ref'] ?? ''))] ?? $answer;
        $routes = [];
        foreach ($document['paths'] as $path => $methods) {
            foreach (array_diff_key($methods, ['parameters' => 1]) as $method => $of) {
                $routes[$of['tags'][0] ?? ''][] = [
                    'call' => strtoupper($method)." {$path}", 'name' => $of['operationId'] ?? '', 'about' => $of['description'] ?? '', 'asks' => ApiDigest::content($of['requestBody'] ?? []),
                    'answers' => array_map(static fn (array $answer): array => [$answer['description'] ?? '', ApiDigest::content($answer)], array_map($answerOf, $of['responses'] ?? [])),
                ];
            }
        }
        ksort($routes);

        return view('openapi', ['info' => $document['info'], 'routes' => $routes, 'schemas' => array_map(self::fields(...), $document['components']['schemas'])]);
    }

    /**
     * @param  array<mixed>  $schema
     * @return array{about: string, fields: list<array{string, string, string}>, said: string}
     */
    private static function fields(array $schema): array
    {
        $fields = [];
        foreach ($schema['properties'] ?? [] as $name => $of) {
            $fields[] = [$name.(in_array($name, $schema['required'] ?? [], true) ? '' : '?'), ApiDigest::said($of), $of['description'] ?? ''];
        }

        return ['about' => $schema['description'] ?? '', 'fields' => $fields, 'said' => $fields === [] ? ApiDigest::said($schema) : ''];
    }
}
