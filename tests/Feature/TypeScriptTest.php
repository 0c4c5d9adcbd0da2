<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Kit\ChoiceProps;
use LogicException;
use Tests\Support\ChoiceProps as Another;
use Tests\TestCase;
use Tools\Types\PageTypes;

final class TypeScriptTest extends TestCase
{
    public function test_props_become_an_interface(): void
    {
        self::assertStringContainsString("export interface ChoiceProps {\n    key: string;\n", (new PageTypes())->of([Another::class], []));
    }

    public function test_two_classes_of_one_name_are_refused(): void
    {
        $this->expectException(LogicException::class);
        $this->expectExceptionMessage('ChoiceProps is of ');
        (new PageTypes())->of([ChoiceProps::class, Another::class], []);
    }

    /** What a page takes is said in PHP alone. */
    public function test_no_page_types_its_own_props(): void
    {
        foreach ((array) glob(resource_path('js/pages/*.tsx')) as $file) {
            $page = basename((string) $file, '.tsx');
            $code = (string) file_get_contents((string) $file);
            self::assertCount(1, (array) glob(app_path("Pages/*/{$page}Page.php")), "{$page} has no class of its own");
            self::assertMatchesRegularExpression("/export default function {$page}\\([^)]*\\b{$page}Page\\b/", $code, $page);
        }
    }
}
