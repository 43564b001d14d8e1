<!DOCTYPE html>
<html lang="en">
<head><meta charset="utf-8"><title>{{ __('work.ready_title') }}</title>@include('print.style')</head>
<body>
    <h1>{{ __('work.ready_title') }}: {{ $planter->farm }} {{ $planter->name }}</h1>
    <p class="quiet">
        {{ $planter->workshop->name }}, {{ $day }}{{ $planter->planting_start === null ? '' : '. '.__('work.ready_planting', ['day' => $planter->workshop->sayDay($planter->planting_start)]) }}
    </p>
    @if ($open === [] && $work === [] && $due === [] && $again === [])
        <p><strong>{{ __('work.ready_nothing') }}</strong></p>
    @endif
    @if ($work !== [])
        <h2>{{ __('work.ready_work', ['count' => count($work)]) }}</h2>
        <table>
            @foreach ($work as $of)
                <tr><td>{{ \App\Work\WorkWords::piece($of) }}</td><td>{{ $of->piece->blocks ? __('work.ready_blocks') : '' }}</td><td>{{ $of->isUndated() ? __('work.undated') : '' }}</td></tr>
            @endforeach
        </table>
    @endif
    @if ($open !== [])
        <h2>{{ __('work.ready_open', ['count' => count($open)]) }}</h2>
        <table>
            @foreach ($open as [$row, $check, $verdict])
                <tr><td>{{ $row }}</td><td>{{ $check }}</td><td>{{ $verdict }}</td></tr>
            @endforeach
        </table>
    @endif
    @if ($again !== [])
        <h2>{{ __('work.ready_again', ['count' => count($again)]) }}</h2>
        <table>
            @foreach ($again as [$row, $check, $verdict])
                <tr><td>{{ $row }}</td><td>{{ $check }}</td><td>{{ $verdict }}</td></tr>
            @endforeach
        </table>
    @endif
    @if ($due !== [])
        <h2>{{ __('work.ready_due', ['count' => count($due)]) }}</h2>
        <table>
            @foreach ($due as [$what, $by])
                <tr><td>{{ $what }}</td><td>{{ $by }}</td></tr>
            @endforeach
        </table>
    @endif
    <p class="caution">{{ __('caution.first') }}</p>
    <p style="margin-top: 30px">{{ __('work.ready_sign') }}</p>
    <table>
        <tr><td style="height: 34px; width: 60%">{{ __('work.ready_shop') }}</td><td>{{ __('work.ready_on') }}</td></tr>
        <tr><td style="height: 34px">{{ __('work.ready_farm') }}</td><td>{{ __('work.ready_on') }}</td></tr>
    </table>
</body>
</html>
