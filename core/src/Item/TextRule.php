<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;

/** Short text: forms, compared after folding; spelling slips may be allowed by length. The first exact form wins, then the nearest. */
final readonly class TextRule implements Rule
{
    /** @param list<Form> $forms */
    public function __construct(
        public array $forms,
        public Folding $folding = new Folding(),
        public bool $allowSlips = false,
        public bool $anyOrder = false,
    ) {
    }

    public static function read(Node $node): self
    {
        $forms = [];
        foreach ($node->children('forms', 100) as $form) {
            $forms[] = new Form(
                $form->text('text', 200),
                $form->rational('credit', '0', '1', '1'),
                $form->text('feedback', 2000, ''),
                $form->textOrNull('misconception', 36),
                $form->bool('blanks', false),
            );
            $form->rejectUnknown();
        }
        $folding = new Folding();
        if ($node->has('folding')) {
            $f = $node->child('folding');
            $folding = new Folding(
                $f->bool('case', true),
                $f->bool('accents', false),
                $f->bool('punctuation', true),
                $f->bool('articles', false),
            );
            $f->rejectUnknown();
        }

        return new self($forms, $folding, $node->bool('allowSlips', false), $node->bool('anyOrder', false));
    }

    public function type(): ItemType
    {
        return ItemType::Text;
    }

    public function check(Response $response): Outcome
    {
        if ($response->isBlank()) {
            return Outcome::nothing();
        }
        $given = $this->folded(mb_substr($response->text, 0, 500));
        $folded = array_map(fn (Form $f): string => $f->blanks ? "\0" : $this->folded($f->text), $this->forms);
        $at = array_search($given, $folded, true);
        foreach ($at === false ? $this->forms : [] as $i => $form) {
            if ($form->blanks
                && WordPattern::of($form->text, $this->folding)->fits($this->folding->fold(mb_substr($response->text, 0, 500)))) {
                $at = $i;
                break;
            }
        }
        if ($at === false && $this->allowSlips) {
            $nearest = PHP_INT_MAX;
            foreach ($folded as $i => $form) {
                $allowance = EditDistance::allowanceFor($form);
                $distance = EditDistance::upTo($given, $form, $allowance);
                if ($distance <= $allowance && $distance < $nearest) {
                    $nearest = $distance;
                    $at = $i;
                }
            }
        }
        if ($at === false) {
            return Outcome::of(BigRational::zero(), '', $given);
        }
        $form = $this->forms[$at];

        return Outcome::of(
            $form->credit,
            'form '.($at + 1),
            $given,
            $form->feedback,
            $form->misconception === null ? [] : [$form->misconception],
        );
    }

    /** Where the order of words is free, they are put in one. */
    private function folded(string $text): string
    {
        $text = $this->folding->fold($text);
        if ($this->anyOrder) {
            $words = explode(' ', $text);
            sort($words, SORT_STRING);
            $text = implode(' ', $words);
        }

        return $text;
    }

    /** The same rule with one more accepted form, or with the credit of that form replaced. */
    public function accepting(Form $form): self
    {
        $key = $this->folded($form->text);
        $others = array_values(array_filter($this->forms, fn (Form $f): bool => $f->blanks || $this->folded($f->text) !== $key));

        return new self([...$others, $form], $this->folding, $this->allowSlips, $this->anyOrder);
    }

    public function waitsForMarker(): bool
    {
        return false;
    }

    public function misconceptions(): array
    {
        return array_values(array_unique(array_filter(
            array_map(static fn (Form $f): ?string => $f->misconception, $this->forms),
            is_string(...),
        )));
    }

    public function toArray(): array
    {
        return [
            'forms' => array_map(static fn (Form $f): array => $f->toArray(), $this->forms),
            'folding' => $this->folding->toArray(),
            'allowSlips' => $this->allowSlips,
        ] + ($this->anyOrder ? ['anyOrder' => true] : []);
    }

    public function defects(): array
    {
        $defects = [];
        $right = array_filter($this->forms, static fn (Form $f): bool => $f->credit->isEqualTo(1));
        if ($right === []) {
            $defects[] = Defect::blocking('No accepted form earns full credit, so there is no key.');
        }
        $seen = [];
        foreach ($this->forms as $i => $form) {
            $text = ($form->blanks ? '*' : '').$this->folded($form->text);
            if ($text === '' || $text === '*') {
                $defects[] = Defect::blocking(sprintf('Form %d is empty.', $i + 1));
            } elseif (isset($seen[$text])) {
                $defects[] = Defect::blocking(sprintf(
                    'Forms %d and %d are the same after folding; only the first counts.',
                    $seen[$text],
                    $i + 1,
                ));
            }
            $seen[$text] ??= $i + 1;
        }

        return $defects;
    }
}
