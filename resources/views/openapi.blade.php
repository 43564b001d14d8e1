<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>Ustrel: HTTP API</title>
    <style>
        :root { color-scheme: light dark; }
        body { max-width: 960px; margin: 0 auto; padding: 16px; font: 16px/1.5 system-ui, sans-serif; }
        summary { min-height: 40px; padding: 8px 0; cursor: pointer; }
        code, td:first-child { font-family: ui-monospace, monospace; font-size: 0.9em; overflow-wrap: anywhere; }
        table { width: 100%; border-collapse: collapse; }
        td { padding: 4px 8px 4px 0; vertical-align: top; border-top: 1px solid #8886; }
    </style>
</head>
<body>
    <h1>{{ $info['title'] }}: HTTP API</h1>
    <p>{{ $info['description'] }}</p>
    <p><a href="/openapi.json">OpenAPI document</a> for programs. Fields marked ? may be left out.</p>
    @foreach ($routes as $tag => $calls)
        <h2>{{ ucfirst($tag) }}</h2>
        @foreach ($calls as $call)
            <details id="{{ $call['name'] }}">
                <summary><code>{{ $call['call'] }}</code></summary>
                @if ($call['about'] !== '')
                    <p>{{ $call['about'] }}</p>
                @endif
                <table>
                    @if ($call['asks'] !== '')
                        <tr><td>sends</td><td><code>{{ $call['asks'] }}</code></td></tr>
                    @endif
                    @foreach ($call['answers'] as $status => [$about, $content])
                        <tr><td>{{ $status }}</td><td>{{ $about }} <code>{{ $content }}</code></td></tr>
                    @endforeach
                </table>
            </details>
        @endforeach
    @endforeach
    <h2>Schemas</h2>
    @foreach ($schemas as $name => $schema)
        <details id="schema-{{ $name }}">
            <summary><code>{{ $name }}</code> {{ $schema['about'] }}</summary>
            @if ($schema['said'] !== '')
                <p><code>{{ $schema['said'] }}</code></p>
            @endif
            <table>
                @foreach ($schema['fields'] as [$field, $type, $about])
                    <tr><td>{{ $field }}</td><td><code>{{ $type }}</code></td><td>{{ $about }}</td></tr>
                @endforeach
            </table>
        </details>
    @endforeach
</body>
</html>
