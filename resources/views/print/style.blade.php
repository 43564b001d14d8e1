<style>
    @page { margin: 34px 36px 40px; }
    body { font-family: 'DejaVu Sans', sans-serif; font-size: 8.5pt; color: #23282b; }
    h1 { font-size: 15pt; margin: 0 0 2px; }
    h2 { font-size: 11pt; margin: 14px 0 4px; }
    .quiet { color: #566067; }
    table { width: 100%; border-collapse: collapse; }
    th, td { border: 0.5px solid #9aa2a6; padding: 2px 4px; text-align: left; vertical-align: top; }
    thead { display: table-header-group; }
    thead th { background: #eceae3; }
    tr { page-break-inside: avoid; }
    .row { text-align: center; font-weight: bold; }
    .page { page-break-before: always; }
    .caution { border-left: 4px solid #8f560c; padding: 2px 8px; margin: 6px 0; }
</style>
