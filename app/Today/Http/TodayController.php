<?php

declare(strict_types=1);

namespace App\Today\Http;

use App\Http\Controller;
use App\Today\TodayQuery;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

final class TodayController extends Controller
{
    #[OA\Get(path: '/api/today', operationId: 'today', description: 'What somebody has to do today, across all planters', tags: ['yard'])]
    #[OA\Response(response: 200, description: 'By planter', content: new OA\JsonContent(ref: '#/components/schemas/Today'))]
    public function __invoke(Request $request, TodayQuery $today): TodayView
    {
        $user = $this->user($request);

        return new TodayView(
            $user->workshop->today(),
            array_map(PlanterTodayView::of(...), $today->planters($user)),
            array_map(TodayItemView::of(...), $today->deliveries($user->workshop)),
        );
    }
}
