<!DOCTYPE html>
<html lang="en">
<head><meta charset="utf-8"><title>{{ __('work.title') }}</title>@include('print.style')
<style>.card { border: 0.5px solid #9aa2a6; padding: 4px 8px; margin: 6px 0; page-break-inside: avoid; } ol, ul { margin: 2px 0; padding-left: 18px; } .box { font-size: 11pt; }</style></head>
<body>
    <h1>{{ $workshop->name }}: {{ __('work.title') }}</h1>
    <p class="caution">{{ __('caution.lock_up') }}</p>
    @if ($days === [] && $undated === [])
        <p>{{ __('work.nothing') }}</p>
    @endif
    @if ($picks !== [])
        <h2>{{ __('work.pick') }}</h2>
        <table>
            @foreach ($picks as $name => $whens)
                @foreach ($whens as $when => $count)
                    <tr><td>{{ $count }}</td><td>{{ $name }}</td><td>{{ $when }}</td></tr>
                @endforeach
            @endforeach
        </table>
    @endif
    @foreach ($days as $day => $people)
        <h2>{{ $day }}</h2>
        @foreach ($people as $person => $cards)
            @foreach ($cards as $card)
                @include('print.work-card', ['head' => "{$card['begins']} {$person}", 'of' => $card['of']])
            @endforeach
        @endforeach
    @endforeach
    @if ($undated !== [])
        <h2>{{ __('work.undated') }}</h2>
        <p class="quiet">{{ __('work.undated_why') }}</p>
        @foreach ($undated as $of)
            @include('print.work-card', ['head' => '', 'of' => $of])
        @endforeach
    @endif
</body>
</html>
