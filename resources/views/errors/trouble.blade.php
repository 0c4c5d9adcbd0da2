<!doctype html>
<html lang="en">
    <head>
        <meta charset="utf-8">
        <meta name="viewport" content="width=device-width, initial-scale=1">
        <title>{{ $title }} · Gritty Tally</title>
        <link rel="icon" href="/mark.svg" type="image/svg+xml">
        <style>
            :root { color-scheme: light dark; }
            body { margin: 0; padding: 14vh 24px; background: #F4F0E6; color: #1E2320; font: 400 17px/1.5 Archivo, sans-serif; }
            main { max-width: 34em; margin: 0 auto; border-top: 2px solid; padding-top: 18px; }
            h1 { font-size: 26px; margin: 0 0 8px; }
            a { color: #A8441C; }
            @media (prefers-color-scheme: dark) { body { background: #171A18; color: #EDE6D6; } a { color: #E0793F; } }
        </style>
    </head>
    <body>
        <main>
            <h1>{{ $title }}</h1>
            <p>{{ $sentence }}</p>
            <p><a href="/intake">Back to the cards</a></p>
        </main>
    </body>
</html>
