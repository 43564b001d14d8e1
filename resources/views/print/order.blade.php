<!DOCTYPE html>
<html lang="en">
<head><meta charset="utf-8"><title>{{ __('order.title') }}</title>@include('print.style')</head>
<body>
    <h1>{{ __('order.title') }}{{ $order->supplier === null ? '' : ", {$order->supplier->name}" }}</h1>
    <p class="quiet">
        {{ $workshop->name }}. {{ $order->ordered_on === null ? __('order.is_draft') : __('order.ordered_on', ['day' => $workshop->dates()->full($order->ordered_on)]) }} {{ $order->note }}
    </p>
    <table>
        <thead><tr><th>Number</th><th>Part</th><th>Quantity</th><th>Price</th><th>Sum</th></tr></thead>
        <tbody>
            @foreach ($order->lines as $line)
                <tr>
                    <td>{{ $types[$line['part_type_id']]->own_number ?? '' }}</td>
                    <td>{{ $types[$line['part_type_id']]->name ?? '' }}</td>
                    <td>{{ $line['quantity'] }}</td>
                    <td>{{ $money($line['price']) }}</td>
                    <td>{{ $money($line['price'] === null ? null : $line['quantity'] * $line['price']) }}</td>
                </tr>
            @endforeach
        </tbody>
    </table>
    <p>{{ $unpriced === 0 ? $money($sum) : __('order.at_least', ['sum' => $money($sum), 'count' => $unpriced]) }}</p>
</body>
</html>
