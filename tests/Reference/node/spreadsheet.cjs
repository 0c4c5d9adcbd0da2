// A general-purpose spreadsheet library beside ours: `read FILE` prints the first sheet as JSON, `make FILE` writes JSON of standard input.
const XLSX = require('xlsx');
const [what, file] = process.argv.slice(2);
if (what === 'read') {
    const book = XLSX.readFile(file, { cellFormula: true });
    const sheet = book.Sheets[book.SheetNames[0]];
    const formulas = Object.values(sheet).filter((cell) => cell && cell.f !== undefined).length;
    console.log(
        JSON.stringify({ rows: XLSX.utils.sheet_to_json(sheet, { header: 1, raw: false, defval: '' }), formulas }),
    );
} else {
    const rows = JSON.parse(require('fs').readFileSync(0, 'utf8'));
    const sheet = XLSX.utils.aoa_to_sheet(
        rows.map((row) =>
            row.map((cell) =>
                typeof cell === 'string' && /^date /.test(cell) ? new Date(cell.slice(5) + 'T00:00:00Z') : cell,
            ),
        ),
        { cellDates: file.endsWith('.ods'), dateNF: 'yyyy-mm-dd' },
    );
    const book = XLSX.utils.book_new();
    XLSX.utils.book_append_sheet(book, sheet, 'Cards');
    XLSX.writeFile(book, file, { bookSST: true });
}
