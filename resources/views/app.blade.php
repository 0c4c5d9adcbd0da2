<!doctype html>
<html lang="en">
    <head>
        <meta charset="utf-8">
        <meta name="viewport" content="width=device-width, initial-scale=1">
        <link rel="icon" href="/mark.svg" type="image/svg+xml">
        {{-- Before anything is drawn, so that a dark set is never lit by a white flash. --}}
        <script nonce="{{ Vite::cspNonce() }}">
            document.documentElement.dataset.theme = localStorage.getItem('theme')
                ?? (matchMedia('(prefers-color-scheme: dark)').matches ? 'night' : 'day');
        </script>
        @viteReactRefresh
        {{-- The page itself too, so that it does not wait until the rest has asked for it. --}}
        @vite(['resources/js/app.tsx', "resources/js/pages/{$page['component']}.tsx"])
        @inertiaHead
    </head>
    <body>
        @inertia
    </body>
</html>
