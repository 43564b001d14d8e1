<table>
    <thead>
        <tr>
            <th>Station</th><th>Check</th><th>Limit</th>
            @foreach ($block['rows'] as $row)<th class="row">{{ $row ?: '' }}</th>@endforeach
        </tr>
    </thead>
    <tbody>
        @foreach ($block['lines'] as $line)
            <tr>
                <td>{{ $line['station'] }}</td><td>{{ $line['check'] }}</td><td>{{ $line['limit'] }}</td>
                @foreach ($line['cells'] as $cell)<td>{{ $cell }}</td>@endforeach
            </tr>
        @endforeach
    </tbody>
</table>
