<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Console;

use ChalkLadder\Core\Analysis\Flag;
use ChalkLadder\Core\Analysis\OptionReport;
use ChalkLadder\Core\Analysis\QuestionReport;
use ChalkLadder\Core\Analysis\Report;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;

#[AsCommand('measure:items', 'Scale and question statistics of a table of responses.')]
final class MeasureItemsCommand extends MeasureCommand
{
    protected function configure(): void
    {
        $this->addArgument(
            'responses',
            InputArgument::REQUIRED,
            'CSV: student,<question>,…; credit 0…1, or option letters with --key; empty = no answer',
        )
            ->addOption('key', null, InputOption::VALUE_REQUIRED, 'CSV: question,key,points');
    }

    protected function measure(InputInterface $input): array
    {
        $path = $input->getArgument('responses');
        $table = self::table($path);
        $name = is_string($path) ? $path : '';
        $key = $input->getOption('key') === null ? null : KeyFile::read($input->getOption('key'), $table);
        $questions = ResponseTable::questions($table, $name, $key);
        $n = count($table->rows);
        $report = Report::of($questions, $n);
        $totals = $report->totals;

        return [
            'scale' => [
                'n' => $n, 'k' => count($questions), 'mean' => $report->mean->value, 'sd' => $report->sd->value,
                'median' => $report->median->value,
                'min' => $totals === [] ? null : min($totals), 'max' => $totals === [] ? null : max($totals),
                'alpha' => $report->alpha->value, 'alphaInterval' => self::interval($report->alpha), 'sem' => $report->sem->value,
                'notes' => array_values(array_filter(
                    [$report->alpha->note, $report->sd->note],
                    is_string(...),
                )),
            ],
            'questions' => array_map(self::question(...), $report->questions),
        ];
    }

    /** @return array<string, mixed> */
    private static function question(QuestionReport $q): array
    {
        return [
            'id' => $q->id, 'n' => $q->facility->n, 'facility' => $q->facility->value,
            'facilityInterval' => self::interval($q->facility), 'itemTotal' => $q->itemTotal->value,
            'itemRest' => $q->itemRest->value, 'itemRestInterval' => self::interval($q->itemRest),
            'upperLower' => $q->upperLower->value, 'alphaIfDropped' => $q->alphaIfDropped->value,
            'omitted' => $q->omitted, 'notReached' => $q->notReached,
            'options' => array_map(
                static fn (OptionReport $o): array => [
                    'id' => $o->id,
                    'count' => $o->count,
                    'share' => $o->share,
                    'byThird' => $o->byThird,
                    'optionRest' => $o->rest,
                    'works' => $o->works,
                ],
                $q->options,
            ),
            'flags' => array_map(
                static fn (Flag $f): array => [
                    'kind' => $f->kind,
                    'evidence' => $f->option === null ? $f->evidence : str_replace('this option', 'option '.$f->option, $f->evidence),
                ],
                $q->flags,
            ),
        ];
    }
}
