<!DOCTYPE html>
<html lang="en">
<head><meta charset="utf-8"><title>{{ __('settings_sheet.title') }}</title>@include('print.style')</head>
<body>
    <h1>{{ __('settings_sheet.title') }}: {{ $planter->farm }} {{ $planter->name }}</h1>
    <p class="quiet">{{ $planter->workshop->name }}, {{ $day }}. {{ __('settings_sheet.first') }}</p>
    @if ($lines === [])
        <p><strong>{{ __('settings_sheet.none') }}</strong></p>
    @else
        <table>
            <thead><tr><th>{{ __('settings_sheet.setting') }}</th><th>{{ __('settings_sheet.row') }}</th><th>{{ __('settings_sheet.value') }}</th><th>{{ __('settings_sheet.ground') }}</th><th>{{ __('settings_sheet.since') }}</th></tr></thead>
            @foreach ($lines as $line)
                <tr>
                    <td>{{ $line['setting'] }}</td>
                    <td class="row">{{ $line['row'] === '' ? __('settings_sheet.all') : $line['row'] }}</td>
                    <td><strong>{{ $line['value'] }}</strong> {{ $line['note'] }}</td>
                    <td>{{ implode(', ', array_filter([$line['field'], $line['crop'], $line['soil'], $line['residue'] === '' ? '' : __('settings_sheet.residue', ['residue' => $line['residue']])])) }}</td>
                    <td>{{ $line['since'] }}</td>
                </tr>
            @endforeach
        </table>
    @endif
</body>
</html>
