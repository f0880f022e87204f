<?php

declare(strict_types=1);

namespace App\Logbook\Line;

use App\Contract\Refusal;
use Core\LogLine\NotUnderstood;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The one-line log: tells what a line means before it is written. */
final readonly class LogLineController
{
    public function __construct(private LineRead $lineRead) {}

    public function preview(Request $request): JsonResponse
    {
        $text = $request->validate(['text' => ['present', 'nullable', 'string', 'max:200']])['text'] ?? '';
        try {
            $lines = $this->lineRead->lines($text);
            $previews = array_map(fn (array $said): LinePreview => $said[1]->preview($said[0]), $lines);
        } catch (NotUnderstood $not) {
            return $this->notUnderstood($not->getMessage(), $not->suggestions);
        } catch (Refusal $refusal) {
            return $this->notUnderstood($refusal->problem->errors['text'][0] ?? $refusal->problem->detail);
        }
        $machine = $lines[0][0]->machineId;

        return new JsonResponse([
            'understood' => true,
            'sentence' => implode(' ', array_column($previews, 'sentence')),
            'suggestions' => count($previews) === 1 ? $previews[0]->suggestions : [],
            'machine_id' => $machine === null ? null : (int) $machine,
            'asks' => in_array(true, array_column($previews, 'asks'), true),
        ]);
    }

    /** @param  list<string>  $suggestions */
    private function notUnderstood(string $sentence, array $suggestions = []): JsonResponse
    {
        return new JsonResponse(
            [
                'understood' => false,
                'sentence' => $sentence,
                'suggestions' => $suggestions,
                'machine_id' => null,
                'asks' => false,
            ],
        );
    }
}
