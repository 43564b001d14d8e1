<!DOCTYPE html>
<html lang="en">
<head><meta charset="utf-8"><title>{{ $board->planter->name }}</title>@include('print.style')<style>td { height: 15px; }</style></head>
<body>
    @foreach ($blocks as $block)
        <h1 @class(['page' => ! $loop->first])>{{ $board->planter->name }}, {{ $board->planter->farm }}: {{ $block['rows'] === [0] ? __('print.whole_planter') : __('print.rows', ['from' => min($block['rows']), 'to' => max($block['rows'])]) }}</h1>
        <p class="quiet">{{ __('print.fill_in') }} {{ __('print.typical') }}</p>
        @if ($loop->first)<p class="caution">{{ __('caution.lock_up') }}</p>@endif
        @include('print.block')
    @endforeach
</body>
</html>
