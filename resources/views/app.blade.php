<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta property="csp-nonce" nonce="{{ Vite::cspNonce() }}">
    <meta name="color-scheme" content="light dark">
    <title>Jardinier</title>
    <link rel="icon" href="data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 16 16'%3E%3Cpath d='M1 11h14M8 11V3' stroke='%232F5D43' stroke-width='2'/%3E%3Cpath d='M5 6h6l-3 4z' fill='%231F2A24'/%3E%3C/svg%3E">
    <link rel="manifest" href="/build/manifest.webmanifest">
    <link rel="apple-touch-icon" href="/icons/mark-192.png">
    <meta name="theme-color" content="#F3EFE6">
    <style nonce="{{ Vite::cspNonce() }}">#jardinier > p { font: 18px sans-serif; padding: 24px 32px; }</style>
    @vite('web/main.tsx')
    @foreach ($besides as $file)
    <link rel="modulepreload" href="/{{ $file }}" nonce="{{ Vite::cspNonce() }}">
    @endforeach
</head>
<body>
    <div id="jardinier"><p role="status">Jardinier: reading the book …</p></div>
    <script type="application/json" id="given">{!! json_encode($given, JSON_HEX_TAG | JSON_THROW_ON_ERROR) !!}</script>
    <noscript>Jardinier needs JavaScript in this browser.</noscript>
</body>
</html>
