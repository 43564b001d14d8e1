<table style="table-layout: fixed">
    <thead>
        <tr>
            <th style="width: 12%">Station</th><th style="width: 17%">Check</th><th style="width: 9%">Limit</th>
            @foreach ($block['rows'] as $row)<th class="row">{{ $row ?: '' }}</th>@endforeach
        </tr>
    </thead>
    <tbody>
        @foreach ($block['lines'] as $line)
            <tr>
                <td>{{ $loop->first || $line['station'] !== $block['lines'][$loop->index - 1]['station'] ? $line['station'] : '' }}</td><td>{{ $line['check'] }}</td><td>{{ $line['limit'] }}</td>
                @foreach ($line['cells'] as $cell)<td>{{ $cell }}</td>@endforeach
            </tr>
        @endforeach
    </tbody>
</table>
