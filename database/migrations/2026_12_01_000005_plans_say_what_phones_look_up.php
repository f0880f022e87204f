<?php

declare(strict_types=1);

use App\Walkaround\CheckShape;
use Core\Inspect\Degree;
use Core\Measure\Quantity;
use Core\Measure\TooMuch;
use Core\Measure\Unit;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Plans that were made before phones looked up what they had worked out: what they look up is added. */
return new class extends Migration
{
    public function up(): void
    {
        DB::table('jobs')->orderBy('id')->each(function (stdClass $job): void {
            $plan = json_decode($job->plan, true, flags: JSON_THROW_ON_ERROR);
            foreach ($plan['steps'] as $index => $step) {
                if (($step['asks'] ?? null) !== null) {
                    $plan['steps'][$index]['asks'] = self::told($step['asks']);
                }
            }
            DB::table('jobs')->where('id', $job->id)->update(['plan' => json_encode($plan, JSON_THROW_ON_ERROR)]);
        });
    }

    /**
     * @param  array<string, mixed>  $asks
     * @return array<string, mixed>
     */
    private static function told(array $asks): array
    {
        if ($asks['kind'] === 'judged') {
            $asks['degrees'] ??= array_map(CheckShape::degree(...), Degree::usual());
        }
        if (isset($asks['rows'])) {
            $asks['rows'] = array_map(fn (array $row): array => $row + ['stands' => match (true) {
                $row['verdict'] === 'fit' => $row['missing_ml'] === 0 ? 'right' : 'enough',
                $row['missing_ml'] === 0 => 'over',
                default => 'low',
            }], $asks['rows']);
        }
        if (isset($asks['holds_ml'])) {
            $asks['asked_over_ml'] ??= TooMuch::pouredAskedOver(Quantity::of($asks['holds_ml'], Unit::Millilitre));
        }

        return $asks;
    }
};
