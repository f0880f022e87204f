<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $contract['info']['title'] }}: the contract</title>
    <style nonce="{{ Vite::cspNonce() }}">
        body { font: 16px/1.5 sans-serif; max-width: 900px; margin: 32px auto; padding: 0 20px; color: #1F2A24; background: #FBF9F4; }
        h2 { border-bottom: 2px solid; margin-top: 48px; } h3 { margin: 32px 0 4px; } code { font-size: 15px; } dt { font-weight: 700; margin-top: 8px; } dd { margin: 0 0 0 20px; }
    </style>
</head>
<body>
    @php
        $name = fn (array $schema): string => isset($schema['$ref']) ? basename($schema['$ref']) : (isset($schema['type']) ? implode(' or ', (array) $schema['type']) : (isset($schema['enum']) ? implode(', ', array_map(fn ($value) => $value ?? 'nothing', $schema['enum'])) : (isset($schema['allOf']) ? 'object' : '')));
        $find = function (array $part) use ($contract): array {
            return isset($part['$ref']) ? data_get($contract, str_replace(['#/', '/'], ['', '.'], $part['$ref'])) : $part;
        };
    @endphp
    <h1>{{ $contract['info']['title'] }}: the contract</h1>
    <p>{{ $contract['info']['description'] }} For programs: <a href="/api/openapi.yaml">openapi.yaml</a>.</p>
    @foreach ($contract['tags'] as $tag)
        <h2>{{ $tag['name'] }}</h2>
        @foreach ($contract['paths'] as $path => $item)
            @foreach ($item as $method => $operation)
                @continue(! in_array($method, ['get', 'post', 'put', 'patch', 'delete'], true) || $operation['tags'][0] !== $tag['name'])
                <h3><code>{{ strtoupper($method) }} /api{{ $path }}</code></h3>
                <p>{{ $operation['summary'] }}. {{ $operation['description'] ?? '' }}</p>
                <dl>
                    @foreach ([...($item['parameters'] ?? []), ...($operation['parameters'] ?? [])] as $parameter)
                        @php($parameter = $find($parameter))
                        <dt>{{ $parameter['name'] }}, {{ $parameter['in'] }}</dt>
                        <dd>{{ $name($parameter['schema']) }} {{ $parameter['description'] ?? '' }}</dd>
                    @endforeach
                    @foreach ($operation['responses'] as $status => $response)
                        <dt>{{ $status }}</dt>
                        <dd>{{ $find($response)['description'] }}</dd>
                    @endforeach
                </dl>
            @endforeach
        @endforeach
    @endforeach
    <h2>Schemas</h2>
    @foreach ($contract['components']['schemas'] as $schema => $definition)
        <h3>{{ $schema }}</h3>
        <dl>
            @foreach (collect([$definition, ...($definition['allOf'] ?? [])])->flatMap(fn ($part) => $part['properties'] ?? []) as $property => $type)
                <dt>{{ $property }}</dt>
                <dd>{{ $name($type) }} {{ $type['description'] ?? '' }}</dd>
            @endforeach
        </dl>
        @if (isset($definition['enum']))<p>{{ implode(', ', $definition['enum']) }}</p>@endif
    @endforeach
</body>
</html>
