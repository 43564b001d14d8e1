<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="color-scheme" content="light dark">
    <meta name="theme-color" content="#23282B">
    <title>Ustrel</title>
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <link rel="apple-touch-icon" href="/icon-192.png">
    <link rel="manifest" href="/manifest.webmanifest">
    {{-- Cascade layers rank by first mention; this one is to stand below Vuetify's. --}}
    <style>@layer reset;</style>
    @vite('resources/js/main.ts')
</head>
<body>
    <div id="app"></div>
    <noscript>Ustrel needs JavaScript to run.</noscript>
</body>
</html>
